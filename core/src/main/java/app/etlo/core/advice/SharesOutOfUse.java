package app.etlo.core.advice;

import app.etlo.core.mix.Blend;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** Shares of the full rates that together are far from a whole. */
final class SharesOutOfUse extends Judgement {
    private static double sum(Blend b) {
        return b.rates().stream().mapToDouble(r -> 100 * r.shareOfFull()).sum();
    }

    /** Whether a mix has such shares. */
    static boolean of(Blend b) {
        return b.rates().size() > 1 && (sum(b) < 60 || sum(b) > 160);
    }

    SharesOutOfUse() {
        super(
                "shares-out-of-use",
                Weight.THINK,
                Step.MIX,
                "the shares of two or more species together are under 60 % or over 160 % of a full rate",
                Source.commonPractice("shares usually sum to 1.0; 1.0 to 1.5 is common in diverse mixes"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.blend().stream()
                        .filter(SharesOutOfUse::of)
                        .map(b -> note(
                                c.id(),
                                c.sown(),
                                "The shares add up to " + Math.round(sum(b))
                                        + " % of a full rate; 100 to 150 % is usual.",
                                List.of("sum of shares " + Math.round(sum(b)) + " %"),
                                sum(b) < 60 ? "larger shares" : "smaller shares, and seed saved")));
    }
}
