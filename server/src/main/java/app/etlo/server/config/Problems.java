package app.etlo.server.config;

import app.etlo.core.field.BoundaryRefused;
import app.etlo.core.knowledge.CorrectionRefused;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.Problem;
import app.etlo.core.plan.document.Refused;
import app.etlo.server.account.Accounts;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonMappingException;
import java.util.List;
import org.slf4j.MDC;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** What went wrong, as problem+json (RFC 9457) with every problem at its place. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    @ExceptionHandler(Refused.class)
    ProblemDetail refused(Refused e) {
        return detail(e.problems());
    }

    @ExceptionHandler(CorrectionRefused.class)
    ProblemDetail correction(CorrectionRefused e) {
        return detail(List.of(new Problem(e.pointer(), e.getMessage())));
    }

    @ExceptionHandler(BoundaryRefused.class)
    ProblemDetail boundary(BoundaryRefused e) {
        return detail(List.of(new Problem(e.pointer(), e.getMessage())));
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        Fault fault = Fault.of(e);
        return fault.status() == HttpStatus.INTERNAL_SERVER_ERROR
                ? ResponseEntity.badRequest().body(detail(unreadable(e)))
                : problem(fault, e);
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return ResponseEntity.badRequest()
                .body(detail(e.getFieldErrors().stream()
                        .map(f -> new Problem(
                                "/" + f.getField().replaceAll("[\\[.]", "/").replace("]", ""),
                                String.valueOf(f.getDefaultMessage())))
                        .toList()));
    }

    @ExceptionHandler(Exception.class)
    ResponseEntity<Object> unforeseen(Exception e) {
        return problem(Fault.of(e), e);
    }

    private ResponseEntity<Object> problem(Fault fault, Exception e) {
        if (fault.status() == HttpStatus.INTERNAL_SERVER_ERROR) {
            logger.error("unforeseen", e);
        } else {
            logger.warn(fault.title() + ": " + e.getClass().getSimpleName());
        }
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(fault.status(), fault.detail());
        detail.setTitle(fault.title());
        detail.setProperty(RequestLog.ID, MDC.get(RequestLog.ID));
        var answer = ResponseEntity.status(fault.status());
        fault.retryAfterSeconds().ifPresent(s -> answer.header(HttpHeaders.RETRY_AFTER, String.valueOf(s)));
        return answer.body(detail);
    }

    @ExceptionHandler(Accounts.AddressTaken.class)
    ProblemDetail taken(Accounts.AddressTaken e) {
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.CONFLICT, "This address has an account already; sign in with it.");
    }

    private static List<Problem> unreadable(HttpMessageNotReadableException e) {
        String pointer = "";
        for (Throwable t = e.getCause(); t != null; t = t.getCause()) {
            if (t instanceof Refused r) {
                String prefix = pointer;
                return r.problems().stream()
                        .map(p -> new Problem(prefix + p.pointer(), p.message()))
                        .toList();
            }
            if (t instanceof JsonMappingException m) {
                StringBuilder path = new StringBuilder();
                m.getPath()
                        .forEach(s ->
                                path.append('/').append(s.getFieldName() == null ? s.getIndex() : s.getFieldName()));
                pointer = path.toString();
            }
        }
        return List.of(
                e.getCause() instanceof JsonProcessingException j
                        ? Json.problem(j)
                        : new Problem("", "the request has no readable body"));
    }

    private static ProblemDetail detail(List<Problem> problems) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                HttpStatus.BAD_REQUEST,
                problems.isEmpty() ? "refused" : problems.get(0).message());
        detail.setTitle("Cannot be taken");
        detail.setProperty("problems", problems);
        return detail;
    }
}
