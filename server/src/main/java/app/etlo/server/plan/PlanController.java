package app.etlo.server.plan;

import app.etlo.core.plan.PlanDocument;
import app.etlo.core.plan.Refused;
import app.etlo.server.account.Adviser;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

@RestController
class PlanController {
    private static final String REQUEST_ID = "X-Request-Id";
    private final PlanStore store;

    PlanController(PlanStore store) {
        this.store = store;
    }

    @GetMapping("/api/fields/{fieldId}/plan")
    PlanStore.Saved ofField(@PathVariable String fieldId, @AuthenticationPrincipal Adviser adviser) {
        return store.ofField(fieldId, adviser.email());
    }

    @PutMapping("/api/plans/{planId}")
    PlanStore.Saved save(
            @PathVariable String planId,
            @RequestHeader(HttpHeaders.IF_MATCH) String parent,
            @RequestHeader(REQUEST_ID) String requestId,
            @RequestBody PlanDocument plan,
            @AuthenticationPrincipal Adviser adviser) {
        if (!planId.equals(plan.id())) {
            throw new Refused("/id", "the address names another plan");
        }
        return store.save(plan, number(parent), id(requestId), adviser.email());
    }

    @PostMapping("/api/plans/{planId}/undo")
    PlanStore.Saved undo(
            @PathVariable String planId,
            @RequestHeader(HttpHeaders.IF_MATCH) String parent,
            @RequestHeader(REQUEST_ID) String requestId,
            @AuthenticationPrincipal Adviser adviser) {
        return store.undo(planId, number(parent), id(requestId), adviser.email());
    }

    @PostMapping("/api/plans/{planId}/redo")
    PlanStore.Saved redo(
            @PathVariable String planId,
            @RequestHeader(HttpHeaders.IF_MATCH) String parent,
            @RequestHeader(REQUEST_ID) String requestId,
            @AuthenticationPrincipal Adviser adviser) {
        return store.redo(planId, number(parent), id(requestId), adviser.email());
    }

    @ExceptionHandler(PlanStore.Conflict.class)
    ProblemDetail conflict(PlanStore.Conflict e) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                HttpStatus.CONFLICT,
                "The plan was changed elsewhere (revision " + e.head() + "). Your own is kept on this page.");
        detail.setProperty("head", e.head());
        return detail;
    }

    private static int number(String ifMatch) {
        try {
            return Integer.parseInt(ifMatch.replace("\"", ""));
        } catch (NumberFormatException e) {
            throw new Refused("/If-Match", "the number of the revision this one follows");
        }
    }

    private static String id(String requestId) {
        if (!requestId.matches("[A-Za-z0-9-]{8,64}")) {
            throw new Refused("/" + REQUEST_ID, "8 to 64 letters, figures and hyphens");
        }
        return requestId;
    }
}
