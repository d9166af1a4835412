package app.etlo.server.plan;

import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Adviser;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The history of a plan, and the ways along it: undo, redo, restore. */
@RestController
class HistoryController {
    private final PlanHistory history;
    private final PlanSteps steps;

    HistoryController(PlanHistory history, PlanSteps steps) {
        this.history = history;
        this.steps = steps;
    }

    @Access(Who.MEMBER)
    @GetMapping("/api/plans/{planId}/revisions")
    List<PlanHistory.Entry> page(@PathVariable String planId, @RequestParam Optional<Integer> before) {
        return history.page(planId, before);
    }

    @Access(Who.MEMBER)
    @PostMapping("/api/plans/{planId}/undo")
    PlanStore.Saved undo(
            @PathVariable String planId,
            @RequestHeader(HttpHeaders.IF_MATCH) String parent,
            @RequestHeader(Headers.REQUEST_ID) String requestId,
            @RequestParam(defaultValue = "false") boolean over,
            @AuthenticationPrincipal Adviser adviser) {
        return steps.undo(planId, Headers.revision(parent), Headers.requestId(requestId), adviser.email(), over);
    }

    @Access(Who.MEMBER)
    @PostMapping("/api/plans/{planId}/redo")
    PlanStore.Saved redo(
            @PathVariable String planId,
            @RequestHeader(HttpHeaders.IF_MATCH) String parent,
            @RequestHeader(Headers.REQUEST_ID) String requestId,
            @RequestParam(defaultValue = "false") boolean over,
            @AuthenticationPrincipal Adviser adviser) {
        return steps.redo(planId, Headers.revision(parent), Headers.requestId(requestId), adviser.email(), over);
    }

    @Access(Who.MEMBER)
    @PostMapping("/api/plans/{planId}/revisions/{number}/restore")
    PlanStore.Saved restore(
            @PathVariable String planId,
            @PathVariable int number,
            @RequestHeader(HttpHeaders.IF_MATCH) String parent,
            @RequestHeader(Headers.REQUEST_ID) String requestId,
            @AuthenticationPrincipal Adviser adviser) {
        return steps.restore(planId, number, Headers.revision(parent), Headers.requestId(requestId), adviser.email());
    }
}
