package app.etlo.server.evaluation;

import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Adviser;
import java.time.LocalDate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** All fields of the practice with what each needs next, soonest first. */
@RestController
class FieldListController {
    private final FieldSummaries summaries;
    private final FieldRefresh refresh;

    FieldListController(FieldSummaries summaries, FieldRefresh refresh) {
        this.summaries = summaries;
        this.refresh = refresh;
    }

    @Access(Who.MEMBER)
    @GetMapping("/api/fields")
    FieldSummaries.FieldList fields(@RequestParam LocalDate asOf, @AuthenticationPrincipal Adviser adviser) {
        FieldSummaries.FieldList list = summaries.all(asOf);
        if (list.pending() > 0) {
            refresh.rest(adviser.workspaceId(), asOf);
        }
        return list;
    }

    /** How far reckoning the fields anew has come. */
    @Access(Who.MEMBER)
    @GetMapping("/api/reckoning")
    FieldRefresh.Progress progress(@AuthenticationPrincipal Adviser adviser) {
        return refresh.progress(adviser.workspaceId());
    }
}
