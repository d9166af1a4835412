package app.etlo.server.plan;

import app.etlo.core.change.Difference;
import app.etlo.core.change.Differences;
import app.etlo.core.change.Merge;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.shown.DifferenceWords;
import app.etlo.server.farm.FarmStore;
import app.etlo.server.people.People;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import org.springframework.stereotype.Component;

/** Says in words what differs between revisions, and between one of them and a plan still being edited. */
@Component
class Comparisons {
    private final Revisions revisions;
    private final FarmStore farms;
    private final People people;
    private final Knowledge knowledge;
    private final PlanReader reader;

    Comparisons(Revisions revisions, FarmStore farms, People people, Knowledge knowledge, PlanReader reader) {
        this.revisions = revisions;
        this.farms = farms;
        this.people = people;
        this.knowledge = knowledge;
        this.reader = reader;
    }

    /** Words for the plans of a field, with its farm's money. */
    DifferenceWords words(String fieldId) {
        String currency = farms.farm(farms.field(fieldId).farmId()).currency();
        return new DifferenceWords(knowledge, currency);
    }

    /** The conflict of a plan that grew from one revision with what was saved since. */
    Conflict conflict(PlanRow row, int base, JsonNode mine) {
        DifferenceWords words = words(row.fieldRef());
        JsonNode from = Json.tree(revisions.document(row, base));
        RevisionRow head = revisions.revision(row, row.head());
        JsonNode theirs = Json.tree(revisions.document(head));
        List<Difference> changes = Differences.between(from, mine);
        Merge merged = Merge.gently(theirs, changes);
        return new Conflict(new Conflict.Comparison(
                row.head(),
                people.names().getOrDefault(head.author(), head.author()),
                head.savedAt(),
                words.between(from, theirs),
                words.say(changes, from, mine),
                merged.overlaps().isEmpty() ? unsound(merged.document()) : words.say(merged.overlaps(), theirs, mine)));
    }

    /** Why changes that do not meet still make no plan together; nothing when they do. */
    private List<String> unsound(JsonNode document) {
        try {
            reader.read(document);
            return List.of();
        } catch (Refused e) {
            return List.of(
                    "both together make no sound plan: " + e.problems().get(0).message());
        }
    }
}
