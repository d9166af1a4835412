package app.etlo.server.people;

import app.etlo.server.account.Role;
import app.etlo.server.documents.WorkspaceRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;

/** A person of the practice, as the others see them. */
@Entity
@Table(name = "adviser")
class MemberRow extends WorkspaceRow {
    @Column(nullable = false, updatable = false)
    private String email;

    @Column(nullable = false)
    private String name;

    @Column(nullable = false)
    private String role;

    @Column(name = "joined_at", nullable = false, updatable = false)
    private Instant joinedAt;

    protected MemberRow() {}

    String email() {
        return email;
    }

    String name() {
        return name;
    }

    Role role() {
        return Role.of(role);
    }

    Instant joinedAt() {
        return joinedAt;
    }

    void become(Role to) {
        this.role = to.id();
    }

    void rename(String to) {
        this.name = to;
    }
}
