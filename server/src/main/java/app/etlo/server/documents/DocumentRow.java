package app.etlo.server.documents;

import jakarta.persistence.Column;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.Version;
import org.hibernate.annotations.TenantId;

/** A document of a workspace, stored in its canonical text and found by the id it carries itself. */
@MappedSuperclass
public abstract class DocumentRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @TenantId
    @Column(name = "workspace_id", nullable = false)
    private Long workspaceId;

    @Column(nullable = false)
    private String ref;

    @Version
    private long version;

    @Column(nullable = false)
    private String document;

    protected DocumentRow() {}

    protected DocumentRow(String ref) {
        this.ref = ref;
    }

    public String ref() {
        return ref;
    }

    public String document() {
        return document;
    }

    public void replaceDocument(String text) {
        this.document = text;
    }
}
