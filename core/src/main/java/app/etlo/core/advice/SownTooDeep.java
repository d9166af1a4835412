package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.SeedDepth;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The typed depth is more than the seed of a species comes up from. */
final class SownTooDeep extends Judgement {
    private static final double MOST_COME_UP = 0.8;

    SownTooDeep() {
        super(
                "sown-too-deep",
                Weight.THINK,
                Step.SOW,
                "from the depth that is typed under 80 % of the seedlings of a species come up that would from its own depth",
                Source.fromMemory(
                        "Bond, Honig and Maze 1999, Oecologia 120:132: deepest emergence 27.3 mm x (seed mg)^0.334"),
                "medium");
    }

    /** Species that lie too deep. */
    static List<Species> of(Situation.Cover c) {
        return c.use().onSurface()
                ? List.of()
                : c.use().depthCm().stream()
                        .flatMap(d -> c.components().stream()
                                .map(x -> x.species())
                                .filter(x -> SeedDepth.comesUp(x, d) < MOST_COME_UP))
                        .toList();
    }

    private static String comingUp(List<Species> tooDeep, double depthCm) {
        return tooDeep.stream()
                .map(x -> Math.round(100 * SeedDepth.comesUp(x, depthCm)) + " % of "
                        + x.name().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(", "));
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream().filter(c -> !of(c).isEmpty()).map(c -> {
            double depth = c.use().depthCm().orElseThrow();
            double one = SeedDepth.oneCm(
                    c.components().stream().map(x -> x.species()).toList());
            return note(
                    c.id(),
                    c.sown(),
                    "From " + Said.of(depth, Unit.CENTIMETRE) + " only " + comingUp(of(c), depth)
                            + " comes up of what would from its own depth. At " + Said.of(one, Unit.CENTIMETRE)
                            + " all come up where that depth is moist; two passes give each species its own.",
                    List.of("depth " + Said.of(depth, Unit.CENTIMETRE)),
                    "a depth of " + Said.of(one, Unit.CENTIMETRE) + ", or two passes");
        });
    }
}
