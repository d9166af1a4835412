package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Large seed left lying on the surface. */
final class LargeSeedOnSurface extends Judgement {
    /** Heavier seed finds too little moisture on top of the ground. */
    private static final double HEAVY_G_PER_1000 = 40;

    LargeSeedOnSurface() {
        super(
                "large-seed-on-surface",
                Weight.THINK,
                Step.SOW,
                "a species of over 40 g per thousand seeds is broadcast or flown and not worked in",
                Source.commonPractice("large seed wants soil contact: drill it, work it in, or choose small seed"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .filter(c -> c.use().onSurface() && !heavy(c).isEmpty())
                .map(c -> note(
                        c.id(),
                        c.sown(),
                        heavy(c) + ": seed of this size on the surface comes up only with rain in the next days.",
                        List.of("on the surface: " + heavy(c)),
                        "drilled or worked in, or small-seeded species"));
    }

    private static String heavy(Situation.Cover c) {
        return c.components().stream()
                .map(x -> x.species())
                .filter(x -> x.thousandSeedMassG() > HEAVY_G_PER_1000)
                .map(Species::name)
                .collect(Collectors.joining(", "));
    }
}
