package app.etlo.server.people;

import app.etlo.server.account.Role;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.TenantId;

/** A link by which one person may join the practice. */
@Entity
@Table(name = "invitation")
class InvitationRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @TenantId
    @Column(name = "workspace_id", nullable = false)
    private Long workspaceId;

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

    Long id() {
        return id;
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
