package app.etlo.server.farm;

import app.etlo.server.documents.DocumentRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;

@Entity
@Table(name = "farm")
class FarmRow extends DocumentRow {
    protected FarmRow() {}

    FarmRow(String ref) {
        super(ref);
    }
}
