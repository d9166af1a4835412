package app.etlo.core.advice;

import app.etlo.core.field.Residual;
import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A cover that stock is to eat, or that is cut for feed, before the label of a herbicide in its ground allows it. */
final class FedInsideInterval extends Judgement {
    FedInsideInterval() {
        super(
                "fed-inside-interval",
                Weight.STOP,
                Step.FIELD,
                "a cover that is to be fed ends before the interval to grazing and cutting that is entered of a herbicide is over",
                Source.commonPractice("grazing and feeding intervals of the label in force, as the adviser typed them"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .filter(c -> c.use().fed())
                .flatMap(c -> s.field().residuals().stream().flatMap(r -> judge(c, r).stream()));
    }

    private Optional<Note> judge(Situation.Cover c, Residual r) {
        Optional<LocalDate> eaten = c.end().map(e -> e.date()).filter(d -> d.isAfter(r.appliedOn()));
        return r.feedingFrom()
                .flatMap(from -> eaten.filter(d -> d.isBefore(from))
                        .map(d -> note(
                                c.id() + "/" + r.activeIngredient(),
                                Optional.of(d),
                                "By the interval you entered nothing grown after " + r.activeIngredient()
                                        + " may be grazed or cut for feed before " + Shown.date(from)
                                        + "; this cover is eaten by "
                                        + Shown.date(d)
                                        + ". Residues pass into meat and milk. The label and the veterinarian decide.",
                                List.of(r.activeIngredient() + " feeding from " + from, "eaten " + d),
                                "a later date, or a cover that is not fed")));
    }
}
