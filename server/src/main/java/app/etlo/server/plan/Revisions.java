package app.etlo.server.plan;

import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.plan.document.Refused;
import app.etlo.server.documents.NotFound;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The chain of revisions of each plan, appended to under a lock on the plan. */
@Component
class Revisions {
    private final PlanRepository plans;
    private final RevisionRepository revisions;
    private final PlanReader reader;
    private final Clock clock;

    Revisions(PlanRepository plans, RevisionRepository revisions, PlanReader reader, Clock clock) {
        this.plans = plans;
        this.revisions = revisions;
        this.reader = reader;
        this.clock = clock;
    }

    /** The plan, held until the transaction ends. */
    PlanRow locked(String planId) {
        return plans.lockByRef(planId).orElseThrow(() -> new NotFound("plan"));
    }

    PlanRow find(String planId) {
        return plans.findByRef(planId).orElseThrow(() -> new NotFound("plan"));
    }

    /**
     * The revision that an earlier sending of this request made.
     *
     * @throws Refused when it was made for another plan: answering with it would lose what is sent now
     */
    Optional<RevisionRow> madeBy(String requestId, PlanRow row) {
        Optional<RevisionRow> made = revisions.findByRequestId(requestId);
        if (made.filter(r -> !r.planId().equals(row.id())).isPresent()) {
            throw usedBefore();
        }
        return made;
    }

    /** The plan that an earlier sending of this request made or changed. */
    Optional<String> planMadeBy(String requestId) {
        return revisions.findByRequestId(requestId).flatMap(r -> plans.refOf(r.planId()));
    }

    static Refused usedBefore() {
        return new Refused(
                "/" + Headers.REQUEST_ID,
                "this id was used for something else before; nothing was saved. Send it again under a new one.");
    }

    void add(PlanRow row, Change change, String requestId, String document) {
        int number = row.head() + 1;
        revisions.save(new RevisionRow(row.id(), number, change, clock.instant(), requestId, document));
        row.moveHead(number);
        plans.save(row);
    }

    RevisionRow revision(PlanRow row, int number) {
        return revisions.findByPlanIdAndNumber(row.id(), number).orElseThrow(() -> new NotFound("revision"));
    }

    /** Newest first. */
    List<RevisionRow> between(PlanRow row, int from, int to) {
        return revisions.findByPlanIdAndNumberBetweenOrderByNumberDesc(row.id(), from, to);
    }

    /** The plan as it was at a revision, in the version of the document that is written now. */
    String document(PlanRow row, int number) {
        return document(revision(row, number));
    }

    /** The plan of a revision; rows of an earlier version are never rewritten, only read. */
    String document(RevisionRow revision) {
        return reader.upToDate(revision.document());
    }

    String head(PlanRow row) {
        return document(row, row.head());
    }

    UndoStack stack(PlanRow row, String author) {
        return new UndoStack(revisions.changes(row.id()), author);
    }

    PlanStore.Saved saved(PlanRow row, String author) {
        return saved(row, row.head(), author);
    }

    PlanStore.Saved saved(PlanRow row, int number, String author) {
        UndoStack stack = stack(row, author);
        return new PlanStore.Saved(
                reader.read(document(row, number)),
                number,
                stack.toUndo().isPresent(),
                stack.toRedo().isPresent(),
                row.isCurrent(),
                row.label());
    }
}
