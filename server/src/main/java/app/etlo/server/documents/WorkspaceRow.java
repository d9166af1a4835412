package app.etlo.server.documents;

import jakarta.persistence.Column;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import org.hibernate.annotations.TenantId;

/** A row of one workspace. Hibernate writes whose it is, and puts that into every query for rows of this kind. */
@MappedSuperclass
public abstract class WorkspaceRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @TenantId
    @Column(name = "workspace_id", nullable = false)
    private Long workspaceId;

    public Long id() {
        return id;
    }

    /** Whose it is; known once it is kept. */
    public long workspaceId() {
        return workspaceId;
    }
}
