package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** A taproot that reaches drains lying shallow. */
final class TaprootAboveShallowTile extends Judgement {
    static final double SHALLOW_CM = 100;
    private static final double DEEP_ROOT_M = 1.0;

    TaprootAboveShallowTile() {
        super(
                "taproot-above-shallow-tile",
                Weight.STOP,
                Step.MIX,
                "a species with a deep taproot grows above drains at 1 m (40 in) or less, and in this season reaches them",
                Source.commonPractice(
                        "deep taproots can grow into and plug shallow drains, most of all in dry seasons"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.tileDepthCm().filter(d -> d <= SHALLOW_CM).stream()
                .flatMap(depth -> s.covers().stream()
                        .flatMap(c -> c.components().stream()
                                .map(k -> k.species())
                                .filter(p -> p.taproot() && p.rootDepthM() >= DEEP_ROOT_M)
                                .filter(p -> rootedM(c, p) * 100 >= depth)
                                .map(p -> speak(s, c, p, depth))));
    }

    /** As simulated for this season; by the library where nothing is simulated. */
    private static double rootedM(Situation.Cover c, Species p) {
        return c.rootedM().getOrDefault(p.id(), p.rootDepthM());
    }

    private Note speak(Situation s, Situation.Cover c, Species p, double depthCm) {
        return note(
                c.id() + "/" + p.id(),
                c.sown(),
                p.name() + " can root to " + s.say(rootedM(c, p), Unit.METRE) + " in this season; the drains lie at "
                        + s.say(depthCm, Unit.CENTIMETRE) + ". Its taproots can plug them.",
                List.of(
                        "root " + Said.of(Math.round(rootedM(c, p) * 10) / 10.0, Unit.METRE),
                        "tile " + Said.of(Math.round(depthCm), Unit.CENTIMETRE)),
                "a fibrous species, or a strip over each drain left without it");
    }
}
