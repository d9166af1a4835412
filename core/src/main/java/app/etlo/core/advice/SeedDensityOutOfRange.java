package app.etlo.core.advice;

import app.etlo.core.mix.Blend;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** The whole mix is sown too thin to close or so thick that seed is wasted. */
final class SeedDensityOutOfRange extends Judgement {
    static final double FEWEST_M2 = 60;
    static final double MOST_M2 = 1100;

    SeedDensityOutOfRange() {
        super(
                "seed-density-out-of-range",
                Weight.THINK,
                Step.MIX,
                "the live seeds of a whole mix are under 60 or over 1,100 per square metre; a rate or sum of shares out of use has a note of its own",
                Source.own("Etlo's own span around the single-species rates of the library"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.blend().stream()
                        .filter(SeedDensityOutOfRange::outside)
                        .filter(b -> RateOutOfUse.of(s, c).isEmpty() && !SharesOutOfUse.of(b))
                        .map(b -> note(
                                c.id(),
                                c.sown(),
                                b.seedsM2().middle() < FEWEST_M2
                                        ? "Sown thin: " + s.say(b.seedsM2().middle(), Unit.PER_M2)
                                                + " will hardly close the ground."
                                        : "Sown thick: " + s.say(b.seedsM2().middle(), Unit.PER_M2)
                                                + ". Species crowd each other and seed is paid for twice.",
                                List.of("live seeds "
                                        + Said.of(Math.round(b.seedsM2().middle()), Unit.PER_M2)),
                                "other shares, or fewer small-seeded species")));
    }

    private static boolean outside(Blend b) {
        double seeds = b.seedsM2().middle();
        return seeds < FEWEST_M2 || seeds > MOST_M2;
    }
}
