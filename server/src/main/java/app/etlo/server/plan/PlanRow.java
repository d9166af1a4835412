package app.etlo.server.plan;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.hibernate.annotations.TenantId;

/** A plan; its content is its newest revision. */
@Entity
@Table(name = "plan")
class PlanRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @TenantId
    @Column(name = "workspace_id", nullable = false)
    private Long workspaceId;

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

    Long id() {
        return id;
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
