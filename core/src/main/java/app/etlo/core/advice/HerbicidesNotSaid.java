package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Nobody said which residual herbicides the field has had. */
final class HerbicidesNotSaid extends Judgement {
    HerbicidesNotSaid() {
        super(
                "herbicides-not-said",
                Weight.THINK,
                Step.FIELD,
                "a cover is still to be sown, the field is not organic, and neither a herbicide nor that none was used is entered",
                Source.commonPractice("carry-over of residual herbicides is the commonest silent failure of covers"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        boolean organic = s.field().certification().filter("organic"::equals).isPresent();
        boolean toSow = s.covers().stream()
                .anyMatch(c -> c.sown().filter(d -> d.isBefore(s.asOf())).isEmpty());
        return organic || s.field().herbicidesSaid() || !toSow
                ? Stream.empty()
                : Stream.of(note(
                        "field",
                        Optional.empty(),
                        "Which residual herbicides this field has had is not entered, of the last crop above all: what still acts in"
                                + " the soil is the commonest silent failure of a cover, and the label may forbid grazing it. Enter them"
                                + " with the interval of the label, or that none was used.",
                        List.of("no herbicide history"),
                        "the history, or that none was used"));
    }
}
