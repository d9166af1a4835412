package app.etlo.server.plan;

import app.etlo.core.change.Differences;
import app.etlo.core.change.Merge;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.PlanCost;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.plan.document.Refused;
import app.etlo.server.documents.NotFound;
import app.etlo.server.farm.FarmStore;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plans and their revisions. Every save adds a revision; none is ever changed. */
@Service
@Transactional
public class PlanStore {
    private final PlanRepository plans;
    private final Revisions revisions;
    private final Comparisons comparisons;
    private final PlanReader reader;
    private final FarmStore farms;

    PlanStore(PlanRepository plans, Revisions revisions, Comparisons comparisons, PlanReader reader, FarmStore farms) {
        this.plans = plans;
        this.revisions = revisions;
        this.comparisons = comparisons;
        this.reader = reader;
        this.farms = farms;
    }

    /**
     * A plan at a revision, as one person finds it.
     *
     * @param current whether it is the field's own plan, not a copy
     * @param label what a copy is called
     */
    public record Saved(
            PlanDocument plan, int revision, boolean canUndo, boolean canRedo, boolean current, String label) {}

    /** A plan and the number of its revision. */
    public record At(PlanDocument plan, int revision) {}

    /** One of the plans of a field. */
    public record Listed(String id, String label, boolean current, String author, Instant savedAt) {}

    /** The plan of a field; an empty one is made on first sight, and only one however many look at once. */
    public Saved ofField(String fieldId, String author) {
        farms.lockField(fieldId);
        return findOfField(fieldId, author)
                .orElseGet(() -> create(PlanDocument.empty("plan-" + UUID.randomUUID(), fieldId), author, ""));
    }

    /** The plan of a field, when it has one. */
    @Transactional(readOnly = true)
    public Optional<Saved> findOfField(String fieldId, String author) {
        return plans.findByFieldRefOrderByCurrentDescIdAsc(fieldId).stream()
                .findFirst()
                .map(row -> revisions.saved(row, author));
    }

    /** The document of a field's own plan, when it has one. */
    @Transactional(readOnly = true)
    public Optional<PlanDocument> current(String fieldId) {
        return plans.findByFieldRefOrderByCurrentDescIdAsc(fieldId).stream()
                .findFirst()
                .map(row -> reader.read(revisions.head(row)));
    }

    /** A plan as it stands now, whoever looks. */
    @Transactional(readOnly = true)
    public At at(String planId) {
        PlanRow row = revisions.find(planId);
        return new At(reader.read(revisions.head(row)), row.head());
    }

    @Transactional(readOnly = true)
    public Saved get(String planId, String author) {
        return revisions.saved(revisions.find(planId), author);
    }

    @Transactional(readOnly = true)
    public boolean holds(String planId) {
        return plans.findByRef(planId).isPresent();
    }

    /** The field's own plan first, then its copies. */
    @Transactional(readOnly = true)
    public List<Listed> all(String fieldId) {
        return plans.findByFieldRefOrderByCurrentDescIdAsc(fieldId).stream()
                .map(row -> {
                    RevisionRow head = revisions.revision(row, row.head());
                    return new Listed(row.ref(), row.label(), row.isCurrent(), head.author(), head.savedAt());
                })
                .toList();
    }

    /** Keeps a new plan as its first revision: the field's own when it has none yet, else a copy under a label. */
    public Saved create(PlanDocument plan, String author, String label) {
        return create(plan, author, label, UUID.randomUUID().toString());
    }

    /**
     * Keeps a plan as a copy beside the field's own.
     *
     * @param requestId a resend of one that was taken makes no second copy
     */
    public Saved copy(PlanDocument plan, String author, String label, String requestId) {
        farms.lockField(plan.fieldId());
        Optional<String> made = revisions.planMadeBy(requestId);
        if (made.isPresent()) {
            if (!made.get().equals(plan.id())) {
                throw Revisions.usedBefore();
            }
            return get(plan.id(), author);
        }
        if (holds(plan.id())) {
            throw new Refused("/plan/id", "there is a plan of this id already");
        }
        return create(plan, author, label, requestId);
    }

    Saved create(PlanDocument plan, String author, String label, String requestId) {
        boolean first =
                plans.findByFieldRefOrderByCurrentDescIdAsc(plan.fieldId()).isEmpty();
        PlanRow row = plans.save(new PlanRow(plan.id(), plan.fieldId(), first, first ? "" : label));
        revisions.add(row, Change.of("create", author), requestId, Json.write(plan));
        return revisions.saved(row, author);
    }

    /** Makes a copy the field's own plan; the one it had becomes a copy. */
    public Saved makeCurrent(String planId, String author) {
        PlanRow row = withItsField(planId);
        plans.findByFieldRefOrderByCurrentDescIdAsc(row.fieldRef()).stream()
                .filter(r -> r.isCurrent() && !r.id().equals(row.id()))
                .forEach(r -> {
                    r.setCurrent(false);
                    plans.saveAndFlush(r);
                });
        row.setCurrent(true);
        plans.save(row);
        return revisions.saved(row, author);
    }

    /** A plan, read once nobody else can change which of its field's plans is current. */
    private PlanRow withItsField(String planId) {
        farms.lockField(plans.fieldOf(planId).orElseThrow(() -> new NotFound("plan")));
        return revisions.find(planId);
    }

    /**
     * Deletes a copy for good; seed that it held goes back to the store.
     *
     * @throws Refused for the field's own plan
     */
    public void remove(String planId) {
        PlanRow row = withItsField(planId);
        if (row.isCurrent()) {
            throw new Refused("", "This is the field's own plan. Make another one its own first.");
        }
        plans.delete(row);
    }

    /**
     * Saves a plan on top of the revision the editor had.
     *
     * @param requestId the editor's own; a resend of one that was taken changes nothing and answers what it made
     * @throws Conflict when the head has moved
     */
    public Saved save(PlanDocument plan, int parent, String requestId, String author) {
        return save(plan, parent, requestId, Change.of("edit", author));
    }

    /** Puts a plan from a file upon the head, whatever that is; it can be undone. */
    public Saved replace(PlanDocument plan, String author) {
        return replace(plan, author, UUID.randomUUID().toString());
    }

    /**
     * The same, once however often it is sent.
     *
     * @param requestId under which it may be sent again
     */
    Saved replace(PlanDocument plan, String author, String requestId) {
        PlanRow row = ofItsField(plan);
        return save(plan, row.head(), requestId, Change.of("import", author));
    }

    /** The plan that an earlier sending of a request made or changed. */
    @Transactional(readOnly = true)
    Optional<String> madeBy(String requestId) {
        return revisions.planMadeBy(requestId);
    }

    private Saved save(PlanDocument plan, int parent, String requestId, Change change) {
        PlanRow row = ofItsField(plan);
        Optional<RevisionRow> sent = revisions.madeBy(requestId, row);
        JsonNode mine = Json.tree(Json.write(plan));
        if (sent.isPresent()) {
            if (!Json.tree(revisions.document(sent.get())).equals(mine)) {
                throw Revisions.usedBefore();
            }
            return revisions.saved(row, sent.get().number(), change.author());
        }
        if (row.head() != parent) {
            throw comparisons.conflict(row, parent, mine);
        }
        add(row, change, requestId, Json.write(plan));
        return revisions.saved(row, change.author());
    }

    /**
     * Saves what was changed since a revision upon what others saved in the meantime.
     *
     * @param base the revision the editor's plan grew from
     * @param head the revision the editor has seen
     * @throws Conflict when the head has moved on, or the changes meet in one place
     */
    public Saved merge(PlanDocument plan, int base, int head, String requestId, String author) {
        PlanRow row = ofItsField(plan);
        Optional<RevisionRow> sent = revisions.madeBy(requestId, row);
        if (sent.isPresent()) {
            return revisions.saved(row, sent.get().number(), author);
        }
        JsonNode mine = Json.tree(Json.write(plan));
        JsonNode from = Json.tree(revisions.document(row, base));
        Merge merged = Merge.gently(Json.tree(revisions.head(row)), Differences.between(from, mine));
        if (row.head() != head || !merged.overlaps().isEmpty()) {
            throw comparisons.conflict(row, base, mine);
        }
        PlanDocument both = reader.read(merged.document());
        PlanCost.require(both);
        String text = Json.write(both);
        add(row, Change.of("merge", author), requestId, text);
        return revisions.saved(row, author);
    }

    private PlanRow ofItsField(PlanDocument plan) {
        PlanRow row = revisions.locked(plan.id());
        if (!row.fieldRef().equals(plan.fieldId())) {
            throw new Refused("/fieldId", "a plan stays with its field");
        }
        return row;
    }

    private void add(PlanRow row, Change change, String requestId, String text) {
        if (!text.equals(revisions.head(row))) {
            revisions.add(row, change, requestId, text);
        }
    }
}
