package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.termination.EndGaps;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.stream.Stream;

/** The cover is ended after the crop is in the ground. */
final class CoverEndedAfterPlanting extends Judgement {
    /** A crop is up soon after. */
    CoverEndedAfterPlanting() {
        super(
                "cover-ended-after-planting",
                Weight.STOP,
                Step.END,
                "the end of a cover is dated over five days after the planting of the crop that follows it",
                Source.commonPractice(
                        "planting green has a kill within days and before the crop is up; label, insurance and programme rules decide"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.lastEnd().stream()
                        .flatMap(end -> c.next().stream()
                                .flatMap(n -> n.planted().stream())
                                .filter(planted -> end.date().isAfter(planted.plusDays(EndGaps.PLANTING_TO_END)))
                                .map(planted -> speak(c.id(), end.date(), planted))));
    }

    private Note speak(String cover, LocalDate end, LocalDate planted) {
        long days = ChronoUnit.DAYS.between(planted, end);
        return note(
                cover,
                java.util.Optional.of(end),
                "Ended " + days + (days == 1 ? " day" : " days") + " after planting on " + Shown.date(planted)
                        + ": the crop is up by then, or about to be. What kills the cover takes the crop too; check label and programme.",
                List.of("end " + end, "planting " + planted),
                "an earlier end or a later planting");
    }
}
