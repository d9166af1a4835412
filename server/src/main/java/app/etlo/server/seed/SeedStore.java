package app.etlo.server.seed;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.Context.LotEntry;
import app.etlo.core.plan.ContextCheck;
import app.etlo.core.plan.Json;
import app.etlo.server.documents.DocumentText;
import app.etlo.server.documents.NotFound;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The seed lots of a practice. */
@Service
@Transactional
public class SeedStore {
    private final LotRepository lots;
    private final Knowledge knowledge;
    private final DocumentText text;

    SeedStore(LotRepository lots, Knowledge knowledge, DocumentText text) {
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
     * Adds a lot or replaces the one of its id.
     *
     * @throws app.etlo.core.plan.Refused when it cannot be
     */
    public LotEntry put(LotEntry lot) {
        ContextCheck.lot(lot, knowledge);
        LotRow row = lots.findByRef(lot.id()).orElseGet(() -> new LotRow(lot.id()));
        row.replaceDocument(Json.write(lot));
        lots.save(row);
        return lot;
    }

    public void remove(String id) {
        lots.delete(lots.findByRef(id).orElseThrow(() -> new NotFound("seed lot")));
    }

    /** Whether a lot of this id is there. */
    @Transactional(readOnly = true)
    public boolean holds(String id) {
        return lots.findByRef(id).isPresent();
    }
}
