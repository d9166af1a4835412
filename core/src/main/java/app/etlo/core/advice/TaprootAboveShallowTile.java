package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
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
                .flatMap(depth -> s.covers().stream().flatMap(c -> judge(s, c, depth).stream()));
    }

    /** One note a cover: the drains are one matter, however many species reach them. */
    private Optional<Note> judge(Situation s, Situation.Cover c, double depthCm) {
        List<Species> reach = c.components().stream()
                .map(k -> k.species())
                .filter(p -> p.taproot() && p.rootDepthM() >= DEEP_ROOT_M)
                .filter(p -> rootedM(c, p) * 100 >= depthCm)
                .toList();
        if (reach.isEmpty()) {
            return Optional.empty();
        }
        String rooted = reach.stream()
                .map(p -> p.name().toLowerCase(Locale.ROOT) + " roots to " + s.say(rootedM(c, p), Unit.METRE))
                .collect(Collectors.joining(", "));
        List<String> facts = new ArrayList<>();
        reach.forEach(p -> {
            facts.add(p.id());
            facts.add("root " + Said.of(Math.round(rootedM(c, p) * 10) / 10.0, Unit.METRE));
        });
        facts.add("tile " + Said.of(Math.round(depthCm), Unit.CENTIMETRE));
        return Optional.of(note(
                c.id() + "/" + reach.get(0).id(),
                c.sown(),
                "Taproots can plug the drains at " + s.say(depthCm, Unit.CENTIMETRE) + ": in this season " + rooted
                        + ".",
                facts,
                "fibrous species, or a strip over each drain left without them"));
    }

    /** As simulated for this season; by the library where nothing is simulated. */
    private static double rootedM(Situation.Cover c, Species p) {
        return c.rootedM().getOrDefault(p.id(), p.rootDepthM());
    }
}
