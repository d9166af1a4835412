package app.etlo.core.advice;

import app.etlo.core.mix.Seedbed;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** Seed on the surface where rain often fails to follow. */
final class SeedbedDry extends Judgement {
    private static final double MANY_PERCENT = 30;

    SeedbedDry() {
        super(
                "seedbed-dry",
                Weight.THINK,
                Step.SOW,
                "seed stays on the surface and in over 3 years of 10 too little rain follows",
                Source.commonPractice(
                        "seed on the surface waits for a wetting rain; the amount and days are Etlo's own"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .filter(c -> c.use().onSurface()
                        && c.sown().filter(d -> !d.isBefore(s.asOf())).isPresent())
                .flatMap(c -> c.seedbed().stream()
                        .filter(b -> b.dryPercent().middle() > MANY_PERCENT)
                        .map(b -> {
                            String share = Situation.yearsIn10(b.dryPercent().middle());
                            return note(
                                    c.id(),
                                    c.sown(),
                                    "In " + share + " under " + s.sayRound(Seedbed.WETTING_MM, Unit.MILLIMETRE)
                                            + " falls in the " + Seedbed.WAIT_DAYS
                                            + " days after this sowing: seed on the surface waits, and birds and slugs find it.",
                                    List.of("without a wetting rain in " + share),
                                    "drilled, or sown ahead of a forecast rain");
                        }));
    }
}
