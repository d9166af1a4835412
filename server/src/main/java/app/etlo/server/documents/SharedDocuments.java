package app.etlo.server.documents;

import app.etlo.core.change.Difference;
import app.etlo.core.change.Differences;
import app.etlo.core.change.Merge;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.shown.DifferenceWords;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/**
 * What the fields of a practice share and several people may edit at once: farms, fields, seed lots. A save says what it grew
 * from; changes in different places come together, changes in one place are a conflict to choose on. Every save is kept.
 */
@Component
public class SharedDocuments {
    private static final int HISTORY = 100;

    private final DocumentRevisionRepository revisions;
    private final Knowledge knowledge;
    private final Clock clock;

    SharedDocuments(DocumentRevisionRepository revisions, Knowledge knowledge, Clock clock) {
        this.revisions = revisions;
        this.knowledge = knowledge;
        this.clock = clock;
    }

    /** The kinds of document, by the word they are stored under. */
    public enum Kind {
        FARM,
        FIELD,
        LOT;

        String word() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    /**
     * A save of one kept document.
     *
     * @param document absent when it was removed
     */
    public record Kept(long id, String author, java.time.Instant savedAt, Optional<String> document) {}

    /**
     * The text to keep for a save.
     *
     * @param current what is kept now
     * @param base what the editor started from; absent for something new
     * @throws DocumentConflict when somebody else changed the same in the meantime
     */
    public String merged(Optional<String> current, Optional<String> base, String mine, String currency) {
        if (current.equals(base) || current.equals(Optional.of(mine))) {
            return mine;
        }
        DifferenceWords words = new DifferenceWords(knowledge, currency);
        JsonNode empty = Json.tree("{}");
        JsonNode from = base.map(Json::tree).orElse(empty);
        JsonNode now = current.map(Json::tree).orElse(empty);
        List<Difference> changes = Differences.between(from, Json.tree(mine));
        if (current.isEmpty() || base.isEmpty()) {
            throw new DocumentConflict(current, List.of(), words.say(changes, from, Json.tree(mine)));
        }
        Merge merged = Merge.gently(now, changes);
        if (!merged.overlaps().isEmpty()) {
            throw new DocumentConflict(
                    current, words.between(from, now), words.say(merged.overlaps(), now, Json.tree(mine)));
        }
        return Json.write(merged.document());
    }

    /** Remembers a save. */
    public void remember(Kind kind, String ref, String author, Optional<String> document) {
        revisions.save(new DocumentRevisionRow(kind.word(), ref, author, clock.instant(), document));
    }

    /** The saves of one document, newest first. */
    public List<Kept> history(Kind kind, String ref) {
        return revisions.findByKindAndRefOrderByIdDesc(kind.word(), ref, Limit.of(HISTORY)).stream()
                .map(r -> new Kept(r.id(), r.author(), r.savedAt(), r.document()))
                .toList();
    }
}
