package app.etlo.server.documents;

import app.etlo.core.plan.document.Json;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** A shared document that was changed elsewhere, with what is needed to choose. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class DocumentProblems {
    @ExceptionHandler(DocumentConflict.class)
    ProblemDetail conflict(DocumentConflict e) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                HttpStatus.CONFLICT,
                e.current().isPresent()
                        ? "This was changed elsewhere in the meantime. Your own is kept on this page."
                        : "This was removed elsewhere in the meantime. Your own is kept on this page.");
        e.current().ifPresent(c -> detail.setProperty("current", Json.tree(c)));
        detail.setProperty("theirs", e.theirs());
        detail.setProperty("overlaps", e.overlaps());
        return detail;
    }

    /**
     * What a refused save of a shared document carries beside what is kept now.
     *
     * @param theirs what others changed, in words
     * @param overlaps the editor's changes that meet with another's, in words
     */
    record SharedConflict(List<String> theirs, List<String> overlaps) {}

    @Bean
    static Described documentProblemTypes() {
        return Described.of(SharedConflict.class);
    }
}
