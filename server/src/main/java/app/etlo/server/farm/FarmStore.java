package app.etlo.server.farm;

import app.etlo.core.plan.Context.FarmEntry;
import app.etlo.core.plan.Context.FieldEntry;
import app.etlo.core.plan.ContextCheck;
import app.etlo.core.plan.Json;
import app.etlo.core.plan.Refused;
import app.etlo.server.documents.DocumentText;
import app.etlo.server.documents.NotFound;
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

    FarmStore(FarmRepository farms, FieldRepository fields, DocumentText text) {
        this.farms = farms;
        this.fields = fields;
        this.text = text;
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
     * Adds a farm or replaces the one of its id.
     *
     * @throws Refused when it cannot be
     */
    public FarmEntry put(FarmEntry farm) {
        ContextCheck.farm(farm);
        FarmRow row = farms.findByRef(farm.id()).orElseGet(() -> new FarmRow(farm.id()));
        row.replaceDocument(Json.write(farm));
        farms.save(row);
        return farm;
    }

    /**
     * Adds a field or replaces the one of its id.
     *
     * @throws Refused when it cannot be, or its farm is not in this practice
     */
    public FieldEntry put(FieldEntry field) {
        ContextCheck.field(field);
        if (findFarm(field.farmId()).isEmpty()) {
            throw new Refused("/farmId", "there is no such farm in this practice");
        }
        FieldRow row = fields.findByRef(field.id()).orElseGet(() -> new FieldRow(field.id(), field.farmId()));
        row.moveTo(field.farmId());
        row.replaceDocument(Json.write(field));
        fields.save(row);
        return field;
    }
}
