package app.etlo.server.calibration;

import app.etlo.server.documents.WorkspaceRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

/** A catch as it was weighed; nothing of it changes later. */
@Entity
@Immutable
@Table(name = "calibration_catch")
class CatchRow extends WorkspaceRow {
    @Column(nullable = false)
    private String ref;

    @Column(nullable = false)
    private String machine;

    @Column(nullable = false)
    private String material;

    @Column(nullable = false)
    private String kind;

    @Column(nullable = false)
    private String document;

    @Column(nullable = false)
    private String author;

    @Column(name = "caught_at", nullable = false)
    private Instant caughtAt;

    protected CatchRow() {}

    CatchRow(String ref, String machine, String material, String kind, String document, String author, Instant at) {
        this.ref = ref;
        this.machine = machine;
        this.material = material;
        this.kind = kind;
        this.document = document;
        this.author = author;
        this.caughtAt = at;
    }

    String document() {
        return document;
    }

    String author() {
        return author;
    }

    Instant caughtAt() {
        return caughtAt;
    }
}
