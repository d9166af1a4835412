package app.etlo.server.farm;

import app.etlo.server.documents.DocumentRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;

@Entity
@Table(name = "field")
class FieldRow extends DocumentRow {
    @Column(name = "farm_ref", nullable = false)
    private String farmRef;

    protected FieldRow() {}

    FieldRow(String ref, String farmRef) {
        super(ref);
        this.farmRef = farmRef;
    }

    void moveTo(String farm) {
        this.farmRef = farm;
    }
}
