package app.etlo.server.plan;

import app.etlo.server.documents.DocumentRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;

@Entity
@Table(name = "kept_mix")
class KeptMixRow extends DocumentRow {
    protected KeptMixRow() {}

    KeptMixRow(String ref) {
        super(ref);
    }
}
