package app.etlo.server.plan;

import app.etlo.server.documents.WorkspaceRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;

/** A plan; its content is its newest revision. */
@Entity
@Table(name = "plan")
class PlanRow extends WorkspaceRow {
    @Column(nullable = false)
    private String ref;

    @Column(name = "field_ref", nullable = false)
    private String fieldRef;

    @Column(nullable = false)
    private int head;

    /** Whether this is the field's own plan; the others are copies. */
    @Column(name = "is_current", nullable = false)
    private boolean current;

    @Column(nullable = false)
    private String label;

    protected PlanRow() {}

    PlanRow(String ref, String fieldRef, boolean current, String label) {
        this.ref = ref;
        this.fieldRef = fieldRef;
        this.current = current;
        this.label = label;
    }

    String fieldRef() {
        return fieldRef;
    }

    int head() {
        return head;
    }

    void moveHead(int number) {
        this.head = number;
    }

    String ref() {
        return ref;
    }

    boolean isCurrent() {
        return current;
    }

    void setCurrent(boolean now) {
        this.current = now;
    }

    String label() {
        return label;
    }
}
