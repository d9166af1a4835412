package app.etlo.server.plan;

import app.etlo.core.change.Difference;
import app.etlo.core.change.Differences;
import app.etlo.core.change.Merge;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.plan.document.Refused;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Undo, redo and restore: saves like all others. Undo takes back a person's own last change, also after days. */
@Service
@Transactional
class PlanSteps {
    private final Revisions revisions;
    private final Comparisons comparisons;
    private final PlanReader reader;

    PlanSteps(Revisions revisions, Comparisons comparisons, PlanReader reader) {
        this.revisions = revisions;
        this.comparisons = comparisons;
        this.reader = reader;
    }

    /** What is to be undone or done again was changed by somebody else since. */
    static final class Overlap extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final transient List<String> overlaps;
        private final boolean overridable;

        Overlap(List<String> overlaps, boolean overridable) {
            super("changed by somebody else since");
            this.overlaps = List.copyOf(overlaps);
            this.overridable = overridable;
        }

        List<String> overlaps() {
            return overlaps;
        }

        /** Whether it can be done anyway, over the other's change. */
        boolean isOverridable() {
            return overridable;
        }
    }

    /**
     * Takes a person's last change back; with nothing to take back the plan stays as it is.
     *
     * @param over also where somebody else changed the same since
     * @throws Conflict when the head has moved
     * @throws Overlap when somebody else changed the same since
     */
    PlanStore.Saved undo(String planId, int parent, String requestId, String author, boolean over) {
        PlanRow row = revisions.locked(planId);
        if (isNew(row, parent, requestId)) {
            revisions.stack(row, author).toUndo().ifPresent(n -> {
                String text = moved(row, n, n - 1, over);
                revisions.add(row, Change.of("undo", n, author), requestId, text);
            });
        }
        return revisions.saved(row, author);
    }

    /**
     * Does again what a person last took back.
     *
     * @throws Conflict when the head has moved
     * @throws Overlap when somebody else changed the same since
     */
    PlanStore.Saved redo(String planId, int parent, String requestId, String author, boolean over) {
        PlanRow row = revisions.locked(planId);
        if (isNew(row, parent, requestId)) {
            revisions.stack(row, author).toRedo().ifPresent(n -> {
                String text = moved(row, n - 1, n, over);
                revisions.add(row, Change.of("redo", n, author), requestId, text);
            });
        }
        return revisions.saved(row, author);
    }

    /**
     * Brings the plan back to what it was at a revision.
     *
     * @throws Conflict when the head has moved
     */
    PlanStore.Saved restore(String planId, int number, int parent, String requestId, String author) {
        PlanRow row = revisions.locked(planId);
        if (isNew(row, parent, requestId)) {
            String text = revisions.document(row, number);
            if (!text.equals(revisions.head(row))) {
                revisions.add(row, Change.of("restore", number, author), requestId, text);
            }
        }
        return revisions.saved(row, author);
    }

    private boolean isNew(PlanRow row, int parent, String requestId) {
        Optional<RevisionRow> sent = revisions.madeBy(requestId, row);
        if (sent.isEmpty() && row.head() != parent) {
            throw comparisons.conflict(row, parent, Json.tree(revisions.document(row, parent)));
        }
        return sent.isEmpty();
    }

    /** The head with the way from one revision to its neighbour gone once more. */
    private String moved(PlanRow row, int from, int to, boolean over) {
        String was = revisions.document(row, from);
        String becomes = revisions.document(row, to);
        String head = revisions.head(row);
        if (head.equals(was)) {
            return becomes;
        }
        JsonNode now = Json.tree(head);
        List<Difference> way = Differences.between(Json.tree(was), Json.tree(becomes));
        Merge merged = over ? Merge.overriding(now, way) : Merge.gently(now, way);
        if (!over && !merged.overlaps().isEmpty()) {
            throw new Overlap(comparisons.words(row.fieldRef()).say(merged.overlaps(), now, Json.tree(becomes)), true);
        }
        try {
            return Json.write(reader.read(merged.document()));
        } catch (Refused e) {
            throw new Overlap(
                    List.of("together with what was changed since it would be no sound plan: "
                            + e.problems().get(0).message()),
                    false);
        }
    }
}
