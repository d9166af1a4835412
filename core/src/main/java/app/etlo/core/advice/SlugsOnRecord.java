package app.etlo.core.advice;

import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** Slugs are on record and a cover keeps the ground green: what to do about them is disputed. */
final class SlugsOnRecord extends Judgement {
    SlugsOnRecord() {
        super(
                "slugs-on-record",
                Weight.THINK,
                Step.MIX,
                "slugs are entered for the field and a cover stands ahead of a crop",
                Source.commonPractice(
                        "leave slugs to predators while traps stay under the threshold, then disturb, bait last; disputed"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.field().pests().stream()
                .filter(FieldFacts.Pest::isSlugs)
                .limit(1)
                .flatMap(p -> s.covers().stream()
                        .filter(c -> c.next().isPresent() && !c.components().isEmpty())
                        .map(c -> note(
                                c.id(),
                                c.end().map(e -> e.date()),
                                "Slugs are on record here" + p.when()
                                        + ". Whether to leave them to ground beetles or to disturb the"
                                        + " soil is disputed. What decides: traps. Lay boards or mats in spring and again before "
                                        + c.next().orElseThrow().crop().name().toLowerCase(Locale.ROOT)
                                        + " goes in; under the local threshold leave them to predators and spare insecticides, over"
                                        + " it a shallow pass of about "
                                        + Said.of(6, Unit.CENTIMETRE) + " in dry weather, bait last, by its label.",
                                List.of("slugs on record"),
                                "counts in traps")));
    }
}
