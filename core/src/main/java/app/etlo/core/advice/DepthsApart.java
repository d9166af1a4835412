package app.etlo.core.advice;

import app.etlo.core.mix.SeedBox;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.stream.Stream;

/** Seeds of one box that want different depths. */
final class DepthsApart extends Judgement {
    private static DoubleSummaryStatistics depths(Situation.Cover c, SeedBox box) {
        return c.components().stream()
                .filter(x -> box.species().contains(x.species().id()))
                .mapToDouble(x -> x.species().depthCm())
                .summaryStatistics();
    }

    DepthsApart() {
        super(
                "depths-apart",
                Weight.TIP,
                Step.SOW,
                "species of one box want depths that differ by more than 2 cm",
                Source.commonPractice(
                        "mixed sizes: one compromise depth or two passes; depth is measured from mineral soil"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.blend().stream()
                        .flatMap(b -> b.boxes().stream())
                        .filter(b -> depths(c, b).getMax() - depths(c, b).getMin() > 2)
                        .map(b -> note(
                                c.id() + "/" + b.id(),
                                c.sown(),
                                b.name() + ": its seeds want depths from "
                                        + Said.span(
                                                depths(c, b).getMin(),
                                                depths(c, b).getMax(),
                                                Unit.CENTIMETRE)
                                        + ". Set the shallower, or go twice.",
                                List.of("depths "
                                        + Said.span(
                                                depths(c, b).getMin(),
                                                depths(c, b).getMax(),
                                                Unit.CENTIMETRE)),
                                "another box, or two passes")));
    }
}
