package app.etlo.server.plan;

import app.etlo.core.plan.Json;
import app.etlo.core.plan.PlanDocument;
import app.etlo.core.plan.PlanReader;
import app.etlo.core.plan.Refused;
import app.etlo.server.documents.NotFound;
import app.etlo.server.farm.FarmStore;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plans and their revisions. Every save adds a revision; undo and redo are saves too. */
@Service
@Transactional
public class PlanStore {
    private final PlanRepository plans;
    private final RevisionRepository revisions;
    private final PlanReader reader;
    private final Clock clock;
    private final FarmStore farms;

    PlanStore(PlanRepository plans, RevisionRepository revisions, PlanReader reader, Clock clock, FarmStore farms) {
        this.farms = farms;
        this.plans = plans;
        this.revisions = revisions;
        this.reader = reader;
        this.clock = clock;
    }

    /** A plan at a revision. */
    public record Saved(PlanDocument plan, int revision, boolean canUndo, boolean canRedo) {}

    /** Somebody else saved in between. */
    public static final class Conflict extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final int head;

        Conflict(int head) {
            super("the plan was saved elsewhere in the meantime");
            this.head = head;
        }

        public int head() {
            return head;
        }
    }

    /** The plan of a field; an empty one is made on first sight, and only one however many look at once. */
    public Saved ofField(String fieldId, String author) {
        farms.lockField(fieldId);
        return findOfField(fieldId)
                .orElseGet(() -> create(PlanDocument.empty("plan-" + UUID.randomUUID(), fieldId), author));
    }

    /** The plan of a field, when it has one. */
    @Transactional(readOnly = true)
    public Optional<Saved> findOfField(String fieldId) {
        return plans.findByFieldRefOrderById(fieldId).stream().findFirst().map(this::saved);
    }

    @Transactional(readOnly = true)
    public Saved get(String planId) {
        return saved(plans.findByRef(planId).orElseThrow(() -> new NotFound("plan")));
    }

    @Transactional(readOnly = true)
    public boolean holds(String planId) {
        return plans.findByRef(planId).isPresent();
    }

    /** Keeps a new plan as its first revision. */
    public Saved create(PlanDocument plan, String author) {
        PlanRow row = plans.save(new PlanRow(plan.id(), plan.fieldId()));
        add(row, Change.create(), author, UUID.randomUUID().toString(), Json.write(plan));
        return saved(row);
    }

    /**
     * Saves a plan on top of the revision the editor had.
     *
     * @param requestId the editor's own; a resend of one that was taken changes nothing
     * @throws Conflict when the head has moved
     */
    public Saved save(PlanDocument plan, int parent, String requestId, String author) {
        PlanRow row = locked(plan.id());
        if (!row.fieldRef().equals(plan.fieldId())) {
            throw new Refused("/fieldId", "a plan stays with its field");
        }
        if (isNew(row, parent, requestId)) {
            String text = Json.write(plan);
            if (!text.equals(document(row, row.head()))) {
                add(row, Change.edit(), author, requestId, text);
            }
        }
        return saved(row);
    }

    /** Takes the last change back; nothing to take back leaves the plan as it is. */
    public Saved undo(String planId, int parent, String requestId, String author) {
        PlanRow row = locked(planId);
        if (isNew(row, parent, requestId)) {
            stack(row)
                    .toUndo()
                    .ifPresent(n -> add(row, new Change(0, "undo", n), author, requestId, document(row, n - 1)));
        }
        return saved(row);
    }

    /** Does again what was last taken back. */
    public Saved redo(String planId, int parent, String requestId, String author) {
        PlanRow row = locked(planId);
        if (isNew(row, parent, requestId)) {
            stack(row).toRedo().ifPresent(n -> add(row, new Change(0, "redo", n), author, requestId, document(row, n)));
        }
        return saved(row);
    }

    private PlanRow locked(String planId) {
        return plans.lockByRef(planId).orElseThrow(() -> new NotFound("plan"));
    }

    private boolean isNew(PlanRow row, int parent, String requestId) {
        if (revisions.findByRequestId(requestId).isPresent()) {
            return false;
        }
        if (row.head() != parent) {
            throw new Conflict(row.head());
        }
        return true;
    }

    private void add(PlanRow row, Change change, String author, String requestId, String document) {
        int number = row.head() + 1;
        revisions.save(new RevisionRow(row.id(), number, change, author, clock.instant(), requestId, document));
        row.moveHead(number);
        plans.save(row);
    }

    private UndoStack stack(PlanRow row) {
        return new UndoStack(revisions.changes(row.id()));
    }

    private String document(PlanRow row, int number) {
        return revisions.findByPlanIdAndNumber(row.id(), number).orElseThrow().document();
    }

    private Saved saved(PlanRow row) {
        UndoStack stack = stack(row);
        return new Saved(
                reader.read(document(row, row.head())),
                row.head(),
                stack.toUndo().isPresent(),
                stack.toRedo().isPresent());
    }
}
