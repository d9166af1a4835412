package app.etlo.server.seed;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.ContextCheck;
import app.etlo.core.plan.document.Json;
import app.etlo.server.documents.DocumentText;
import app.etlo.server.documents.NotFound;
import app.etlo.server.documents.SharedDocuments;
import app.etlo.server.documents.SharedDocuments.Kind;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The seed lots of a practice. */
@Service
@Transactional
public class SeedStore {
    /** A lot's price is in the money of whoever bought it; farms of two currencies may share the store. */
    private static final String NO_CURRENCY = "";

    private final LotRepository lots;
    private final Knowledge knowledge;
    private final DocumentText text;
    private final SharedDocuments shared;

    SeedStore(LotRepository lots, Knowledge knowledge, DocumentText text, SharedDocuments shared) {
        this.shared = shared;
        this.lots = lots;
        this.knowledge = knowledge;
        this.text = text;
    }

    /** All lots by species and label. */
    @Transactional(readOnly = true)
    public List<LotEntry> all() {
        return lots.findAll().stream()
                .map(r -> text.read(r.document(), LotEntry.class))
                .sorted(Comparator.comparing(LotEntry::species).thenComparing(LotEntry::label))
                .toList();
    }

    /**
     * Adds a lot, or saves what was changed of it.
     *
     * @param base the lot as the editor found it; absent for a new one
     * @throws app.etlo.core.plan.document.Refused when it cannot be
     * @throws app.etlo.server.documents.DocumentConflict when somebody else changed the same, or took it out
     */
    public LotEntry put(Optional<LotEntry> base, LotEntry typed, String author) {
        LotEntry mine = typed.ofParts();
        ContextCheck.lot(mine, knowledge);
        Optional<LotRow> found = lots.lockByRef(mine.id());
        LotEntry lot = text.read(
                shared.merged(found.map(LotRow::document), base.map(Json::write), Json.write(mine), NO_CURRENCY),
                LotEntry.class);
        String merged = Json.write(lot);
        ContextCheck.lot(lot, knowledge);
        LotRow row = found.orElseGet(() -> new LotRow(mine.id()));
        if (!merged.equals(row.document())) {
            row.replaceDocument(merged);
            lots.save(row);
            shared.remember(Kind.LOT, mine.id(), author, Optional.of(merged));
        }
        return lot;
    }

    public void remove(String id, String author) {
        lots.delete(lots.lockByRef(id).orElseThrow(() -> new NotFound("seed lot")));
        shared.remember(Kind.LOT, id, author, Optional.empty());
    }

    @Transactional(readOnly = true)
    public Optional<LotEntry> find(String id) {
        return lots.findByRef(id).map(r -> text.read(r.document(), LotEntry.class));
    }
}
