package app.etlo.server.log;

import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.LogEntry;
import app.etlo.core.plan.document.PlanDocument.CheckEntry;
import app.etlo.server.documents.DocumentText;
import app.etlo.server.documents.WorkspaceRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import org.hibernate.annotations.Immutable;

/** An entry as it was written down. */
@Entity
@Immutable
@Table(name = "log_entry")
class LogRow extends WorkspaceRow {
    private static final String TAKEN_BACK = "taken-back";

    @Column(nullable = false)
    private String ref;

    @Column(name = "field_ref", nullable = false)
    private String fieldRef;

    @Column(nullable = false)
    private String subject;

    @Column(nullable = false)
    private String kind;

    @Column(name = "done_on", nullable = false)
    private LocalDate doneOn;

    @Column(nullable = false)
    private String author;

    @Column(name = "written_at", nullable = false)
    private Instant writtenAt;

    @Column(nullable = false)
    private String document;

    private String replaces;

    protected LogRow() {}

    LogRow(String fieldRef, LogEntry entry) {
        this.ref = entry.ref();
        this.fieldRef = fieldRef;
        this.subject = entry.coverId();
        this.kind = entry.check().map(c -> c.gateKind().orElse("check")).orElse(TAKEN_BACK);
        this.doneOn = entry.on();
        this.author = entry.author();
        this.writtenAt = entry.at();
        this.document = Json.write(entry.check());
        this.replaces = entry.replaces().orElse(null);
    }

    LogEntry entry(DocumentText text) {
        return new LogEntry(
                ref,
                subject,
                doneOn,
                author,
                writtenAt,
                kind.equals(TAKEN_BACK) ? Optional.empty() : Optional.of(text.read(document, CheckEntry.class)),
                Optional.ofNullable(replaces));
    }
}
