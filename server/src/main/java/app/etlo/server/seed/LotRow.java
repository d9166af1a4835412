package app.etlo.server.seed;

import app.etlo.server.documents.DocumentRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;

@Entity
@Table(name = "seed_lot")
class LotRow extends DocumentRow {
    protected LotRow() {}

    LotRow(String ref) {
        super(ref);
    }
}
