package app.etlo.server.plan;

import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.shown.DifferenceWords;
import app.etlo.server.people.People;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who changed what in a plan and when. */
@Service
@Transactional(readOnly = true)
class PlanHistory {
    static final int PAGE = 40;

    private final Revisions revisions;
    private final Comparisons comparisons;
    private final People people;

    PlanHistory(Revisions revisions, Comparisons comparisons, People people) {
        this.revisions = revisions;
        this.comparisons = comparisons;
        this.people = people;
    }

    /**
     * One revision.
     *
     * @param kind create, edit, import, merge, restore, undo or redo
     * @param target the revision it undid, did again or restored
     * @param changes what differs from the one before, in words
     */
    record Entry(
            int number, String kind, Optional<Integer> target, String author, Instant savedAt, List<String> changes) {}

    /** Newest first, at most {@value #PAGE}, all older than a revision if one is given. */
    List<Entry> page(String planId, Optional<Integer> before) {
        PlanRow row = revisions.find(planId);
        int to = Math.min(row.head(), before.orElse(Integer.MAX_VALUE) - 1);
        List<RevisionRow> rows = revisions.between(row, to - PAGE, to);
        Map<Integer, JsonNode> documents = new HashMap<>();
        rows.forEach(r -> documents.put(r.number(), Json.tree(revisions.document(r))));
        DifferenceWords words = comparisons.words(row.fieldRef());
        Map<String, String> names = people.names();
        List<Entry> entries = new ArrayList<>();
        for (RevisionRow r : rows.subList(0, Math.min(PAGE, rows.size()))) {
            JsonNode earlier = documents.get(r.number() - 1);
            entries.add(new Entry(
                    r.number(),
                    r.kind(),
                    Optional.ofNullable(r.target()),
                    names.getOrDefault(r.author(), r.author()),
                    r.savedAt(),
                    earlier == null ? List.of() : words.between(earlier, documents.get(r.number()))));
        }
        return entries;
    }
}
