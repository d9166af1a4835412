package app.etlo.server.documents;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import org.hibernate.annotations.Immutable;

/** One save of a farm, a field or a lot; without a document when it was removed. */
@Entity
@Immutable
@Table(name = "document_revision")
class DocumentRevisionRow extends WorkspaceRow {
    @Column(nullable = false)
    private String kind;

    @Column(nullable = false)
    private String ref;

    @Column(nullable = false)
    private String author;

    @Column(name = "saved_at", nullable = false)
    private Instant savedAt;

    private String document;

    protected DocumentRevisionRow() {}

    DocumentRevisionRow(String kind, String ref, String author, Instant savedAt, Optional<String> document) {
        this.kind = kind;
        this.ref = ref;
        this.author = author;
        this.savedAt = savedAt;
        this.document = document.orElse(null);
    }

    String author() {
        return author;
    }

    Instant savedAt() {
        return savedAt;
    }

    Optional<String> document() {
        return Optional.ofNullable(document);
    }
}
