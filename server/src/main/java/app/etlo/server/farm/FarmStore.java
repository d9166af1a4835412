package app.etlo.server.farm;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Context.FarmEntry;
import app.etlo.core.plan.document.ContextCheck;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.Refused;
import app.etlo.server.documents.DocumentText;
import app.etlo.server.documents.NotFound;
import app.etlo.server.documents.SharedDocuments;
import app.etlo.server.documents.SharedDocuments.Kind;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The farms and fields of a practice. */
@Service
@Transactional
public class FarmStore {
    private final FarmRepository farms;
    private final FieldRepository fields;
    private final DocumentText text;
    private final SharedDocuments shared;
    private final Knowledge knowledge;

    FarmStore(
            FarmRepository farms,
            FieldRepository fields,
            DocumentText text,
            SharedDocuments shared,
            Knowledge knowledge) {
        this.knowledge = knowledge;
        this.farms = farms;
        this.fields = fields;
        this.text = text;
        this.shared = shared;
    }

    @Transactional(readOnly = true)
    public List<FarmEntry> farms() {
        return farms.findAll().stream()
                .map(r -> text.read(r.document(), FarmEntry.class))
                .sorted(Comparator.comparing(FarmEntry::name))
                .toList();
    }

    @Transactional(readOnly = true)
    public List<FieldEntry> fields() {
        return fields.findAll().stream()
                .map(r -> text.read(r.document(), FieldEntry.class))
                .sorted(Comparator.comparing(FieldEntry::name))
                .toList();
    }

    @Transactional(readOnly = true)
    public Optional<FarmEntry> findFarm(String id) {
        return farms.findByRef(id).map(r -> text.read(r.document(), FarmEntry.class));
    }

    @Transactional(readOnly = true)
    public Optional<FieldEntry> findField(String id) {
        return fields.findByRef(id).map(r -> text.read(r.document(), FieldEntry.class));
    }

    public FarmEntry farm(String id) {
        return findFarm(id).orElseThrow(() -> new NotFound("farm"));
    }

    /** Lets nobody else work on a field until the transaction ends. */
    public void lockField(String id) {
        if (fields.lockByRef(id).isEmpty()) {
            throw new NotFound("field");
        }
    }

    public FieldEntry field(String id) {
        return findField(id).orElseThrow(() -> new NotFound("field"));
    }

    /**
     * Adds a farm, or saves what was changed of it.
     *
     * @param base the farm as the editor found it; absent for a new one
     * @throws Refused when it cannot be
     * @throws app.etlo.server.documents.DocumentConflict when somebody else changed the same
     */
    public FarmEntry put(Optional<FarmEntry> base, FarmEntry mine, String author) {
        ContextCheck.farm(mine, knowledge);
        Optional<FarmRow> found = farms.lockByRef(mine.id());
        FarmEntry farm = text.read(
                shared.merged(found.map(FarmRow::document), base.map(Json::write), Json.write(mine), mine.currency()),
                FarmEntry.class);
        String merged = Json.write(farm);
        ContextCheck.farm(farm, knowledge);
        FarmRow row = found.orElseGet(() -> new FarmRow(mine.id()));
        if (!merged.equals(row.document())) {
            row.replaceDocument(merged);
            farms.save(row);
            shared.remember(Kind.FARM, mine.id(), author, Optional.of(merged));
        }
        return farm;
    }

    /**
     * Adds a field, or saves what was changed of it.
     *
     * @param base the field as the editor found it; absent for a new one
     * @throws Refused when it cannot be, or its farm is not in this practice
     * @throws app.etlo.server.documents.DocumentConflict when somebody else changed the same
     */
    public FieldEntry put(Optional<FieldEntry> base, FieldEntry mine, String author) {
        ContextCheck.field(mine, knowledge);
        FarmEntry farm = findFarm(mine.farmId())
                .orElseThrow(() -> new Refused("/farmId", "there is no such farm in this practice"));
        Optional<FieldRow> found = fields.lockByRef(mine.id());
        FieldEntry field = text.read(
                shared.merged(found.map(FieldRow::document), base.map(Json::write), Json.write(mine), farm.currency()),
                FieldEntry.class);
        String merged = Json.write(field);
        ContextCheck.field(field, knowledge);
        FieldRow row = found.orElseGet(() -> new FieldRow(mine.id(), mine.farmId()));
        if (!merged.equals(row.document())) {
            row.moveTo(field.farmId());
            row.replaceDocument(merged);
            fields.save(row);
            shared.remember(Kind.FIELD, mine.id(), author, Optional.of(merged));
        }
        return field;
    }
}
