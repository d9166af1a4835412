package app.etlo.core.termination;

import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;

/** The end of a cover: its day and method. */
public record Termination(LocalDate date, TerminationMethod method) {
    private static final Formula AHEAD = Formula.of(
            "Days dead before planting",
            "planting - end",
            Source.identity("the difference of two dates"),
            "planting",
            "end");

    /** Days between the end of the cover and the planting of the crop; negative when the crop is planted first. */
    public Figure daysBefore(String id, LocalDate planting) {
        return AHEAD.figure(
                id,
                "Days dead before planting",
                Unit.DAY,
                Input.of("planting", "Planting", planting.toEpochDay(), Unit.DATE, Origin.ENTERED, "rotation"),
                Input.of("end", "End of the cover", date.toEpochDay(), Unit.DATE, Origin.ENTERED, "end step"));
    }
}
