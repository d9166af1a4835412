package app.etlo.server.documents;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.Version;

/** A document of a workspace, stored in its canonical text and found by the id it carries itself. */
@MappedSuperclass
public abstract class DocumentRow extends WorkspaceRow {
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
