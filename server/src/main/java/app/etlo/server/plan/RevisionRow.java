package app.etlo.server.plan;

import app.etlo.server.documents.WorkspaceRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

/** One save of a plan: the whole document, never changed afterwards. */
@Entity
@Immutable
@Table(name = "plan_revision")
class RevisionRow extends WorkspaceRow {
    @Column(name = "plan_id", nullable = false)
    private Long planId;

    @Column(nullable = false)
    private int number;

    @Column(nullable = false)
    private int parent;

    @Column(nullable = false)
    private String kind;

    private Integer target;

    @Column(nullable = false)
    private String author;

    @Column(name = "saved_at", nullable = false)
    private Instant savedAt;

    @Column(name = "request_id", nullable = false)
    private String requestId;

    @Column(nullable = false)
    private String document;

    protected RevisionRow() {}

    RevisionRow(Long planId, int number, Change change, Instant savedAt, String requestId, String document) {
        this.planId = planId;
        this.number = number;
        this.parent = number - 1;
        this.kind = change.kind();
        this.target = change.target();
        this.author = change.author();
        this.savedAt = savedAt;
        this.requestId = requestId;
        this.document = document;
    }

    Long planId() {
        return planId;
    }

    int number() {
        return number;
    }

    String document() {
        return document;
    }

    String kind() {
        return kind;
    }

    Integer target() {
        return target;
    }

    String author() {
        return author;
    }

    Instant savedAt() {
        return savedAt;
    }
}
