package app.etlo.server.evaluation;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** Questions that are not answered now. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class EvaluationProblems {
    private static final Logger LOG = LoggerFactory.getLogger(EvaluationProblems.class);

    @ExceptionHandler(EvaluationSlots.Superseded.class)
    ProblemDetail superseded() {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                HttpStatus.CONFLICT, "This page has asked again since; the newer answer counts.");
        detail.setTitle("Superseded");
        return detail;
    }

    @ExceptionHandler(PlanIsHere.class)
    ProblemDetail planIsHere(PlanIsHere e) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, e.getMessage());
        detail.setTitle("Plan exists");
        detail.setProperty("differences", e.differences());
        return detail;
    }

    @ExceptionHandler(EvaluationSlots.Busy.class)
    ResponseEntity<ProblemDetail> busy() {
        LOG.warn("busy: too many evaluations wait");
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                HttpStatus.SERVICE_UNAVAILABLE,
                "The server is computing for many others. Saves go through; ask for this again in a moment.");
        detail.setTitle("Busy");
        return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
                .header(HttpHeaders.RETRY_AFTER, "2")
                .body(detail);
    }
}
