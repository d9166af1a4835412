package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.SeedBox;
import app.etlo.core.mix.SeedDepth;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** Seeds of one box that want different depths: one pass at a depth that suits all, or two. */
final class DepthsApart extends Judgement {
    private static final double APART_CM = 2;
    /** Seed this much shallower than its own depth comes up all the same. */
    private static final double LITTLE_CM = 1;

    DepthsApart() {
        super(
                "depths-apart",
                Weight.TIP,
                Step.SOW,
                "species of one box want depths that differ by more than 2 cm, and no depth is typed from which any fails to come up",
                Source.commonPractice(
                        "mixed sizes: one compromise depth or two passes; depth is measured from mineral soil"),
                "medium");
    }

    /** The species of a box that lie in the soil, from the one that wants to lie shallowest. */
    private static List<Species> of(Situation.Cover c, SeedBox box) {
        return c.components().stream()
                .map(x -> x.species())
                .filter(x -> box.species().contains(x.id()))
                .sorted(Comparator.comparingDouble(Species::depthCm))
                .toList();
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .filter(c -> !c.use().onSurface() && SownTooDeep.of(c).isEmpty())
                .flatMap(c -> c.blend().stream()
                        .flatMap(b -> b.boxes().stream())
                        .filter(b -> apart(of(c, b)) > APART_CM)
                        .map(b -> note(c, b, of(c, b))));
    }

    private static double apart(List<Species> ofBox) {
        return ofBox.isEmpty()
                ? 0
                : ofBox.get(ofBox.size() - 1).depthCm() - ofBox.get(0).depthCm();
    }

    private Note note(Situation.Cover c, SeedBox box, List<Species> ofBox) {
        Species deepest = ofBox.get(ofBox.size() - 1);
        double one = c.use().depthCm().orElseGet(() -> SeedDepth.oneCm(ofBox));
        String at = Said.of(one, Unit.CENTIMETRE);
        double shallowerCm = Math.round(10 * (deepest.depthCm() - one)) / 10.0;
        return note(
                c.id() + "/" + box.id(),
                c.sown(),
                box.name() + ": its seeds want depths from "
                        + Said.span(ofBox.get(0).depthCm(), deepest.depthCm(), Unit.CENTIMETRE) + ". In one pass at "
                        + at + " all come up where that depth is moist"
                        + (shallowerCm > LITTLE_CM
                                ? "; " + deepest.name().toLowerCase(Locale.ROOT) + " then lies "
                                        + Said.of(shallowerCm, Unit.CENTIMETRE)
                                        + " shallower than it should, and waits for rain where the top is dry. Two passes"
                                        + " give each its own depth, for a second trip."
                                : ", and a second pass for depth alone buys little."),
                List.of(
                        "depths " + Said.span(ofBox.get(0).depthCm(), deepest.depthCm(), Unit.CENTIMETRE),
                        "one pass " + at),
                shallowerCm > LITTLE_CM ? "another box, or two passes" : "one depth set for all");
    }
}
