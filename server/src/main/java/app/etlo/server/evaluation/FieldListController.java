package app.etlo.server.evaluation;

import app.etlo.core.plan.asked.FieldTurns;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.shown.Evaluation;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Adviser;
import app.etlo.server.account.PracticeDay;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The fields of the practice with what each needs next, a page at a time, and the pictures of those in sight. */
@RestController
class FieldListController {
    private static final int MOST_PICTURES = 60;

    private final FieldSummaries summaries;
    private final FieldRefresh refresh;
    private final PracticeDay day;

    FieldListController(FieldSummaries summaries, FieldRefresh refresh, PracticeDay day) {
        this.summaries = summaries;
        this.refresh = refresh;
        this.day = day;
    }

    /**
     * A page of the list, for the practice's day.
     *
     * @param show all, due (within a fortnight), stop (a stop note), undated (nothing dated ahead) or fault
     * @param order next (soonest decision), name or farm
     * @param find part of the name of a field, its farm or what stands on it
     * @param after the {@code next} of the page before
     */
    @Access(Who.MEMBER)
    @GetMapping("/api/fields")
    FieldSummaries.FieldPage fields(
            @RequestParam Optional<String> show,
            @RequestParam Optional<String> order,
            @RequestParam Optional<String> find,
            @RequestParam Optional<String> after,
            @RequestParam Optional<Integer> limit,
            @AuthenticationPrincipal Adviser adviser) {
        FieldSummaries.FieldPage page =
                summaries.page(FieldQuery.of(show, order, find, after, limit), day.of(adviser.workspaceId()));
        if (page.pending() > 0) {
            refresh.rest(adviser.workspaceId(), page.asOf());
        }
        return page;
    }

    /** The ground sections of fields, as they were last computed. */
    @Access(Who.MEMBER)
    @GetMapping("/api/field-sections")
    Map<String, Evaluation.SectionView> sections(@RequestParam("field") List<String> fieldIds) {
        if (fieldIds.isEmpty() || fieldIds.size() > MOST_PICTURES) {
            throw new Refused("/field", "from 1 to " + MOST_PICTURES + " fields");
        }
        return summaries.sections(fieldIds);
    }

    /** Which field first: in a dry spring, in a wet one, and for stock; of all fields as they were last computed. */
    @Access(Who.MEMBER)
    @GetMapping("/api/field-turns")
    FieldTurns turns() {
        return FieldTurns.of(summaries.turns());
    }

    /** How far computing the fields again has come. */
    @Access(Who.MEMBER)
    @GetMapping("/api/refresh")
    FieldRefresh.Progress progress(@AuthenticationPrincipal Adviser adviser) {
        return refresh.progress(adviser.workspaceId());
    }
}
