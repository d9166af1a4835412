package app.etlo.server.plan;

import app.etlo.server.documents.Described;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** Saves that met another's, with what is needed to choose. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class PlanProblems {
    @ExceptionHandler(Conflict.class)
    ProblemDetail conflict(Conflict e) {
        Conflict.Comparison c = e.comparison();
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                HttpStatus.CONFLICT,
                "The plan was changed elsewhere (revision " + c.head() + "). Your own is kept on this page.");
        detail.setProperty("head", c.head());
        detail.setProperty("comparison", c);
        return detail;
    }

    @ExceptionHandler(PlanSteps.Overlap.class)
    ProblemDetail overlap(PlanSteps.Overlap e) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                HttpStatus.CONFLICT, "Somebody else changed the same since; nothing was done.");
        detail.setProperty("overlaps", e.overlaps());
        detail.setProperty("overridable", e.isOverridable());
        return detail;
    }

    /**
     * What a refused undo or redo carries.
     *
     * @param overridable whether it can be done anyway, over the other's change
     */
    record OverlapView(List<String> overlaps, boolean overridable) {}

    @Bean
    static Described planProblemTypes() {
        return Described.of(Conflict.Comparison.class, OverlapView.class);
    }
}
