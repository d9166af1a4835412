package app.etlo.server.people;

import app.etlo.server.account.Role;
import app.etlo.server.documents.WorkspaceRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;

/** A link by which one person may join the practice. */
@Entity
@Table(name = "invitation")
class InvitationRow extends WorkspaceRow {
    @Column(name = "token_hash", nullable = false)
    private String tokenHash;

    @Column(nullable = false)
    private String role;

    @Column(name = "made_by", nullable = false)
    private String madeBy;

    @Column(name = "expires_at", nullable = false)
    private Instant expiresAt;

    protected InvitationRow() {}

    InvitationRow(String tokenHash, Role role, String madeBy, Instant expiresAt) {
        this.tokenHash = tokenHash;
        this.role = role.id();
        this.madeBy = madeBy;
        this.expiresAt = expiresAt;
    }

    Role role() {
        return Role.of(role);
    }

    String madeBy() {
        return madeBy;
    }

    Instant expiresAt() {
        return expiresAt;
    }
}
