package app.etlo.server.outside;

import app.etlo.server.documents.WorkspaceRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;

/** What an outside service last answered for a place, and how the last try went. */
@Entity
@Table(name = "service_answer")
class AnswerRow extends WorkspaceRow {
    @Column(nullable = false)
    private String service;

    @Column(nullable = false)
    private String place;

    @Column(name = "fetched_at")
    private Instant fetchedAt;

    private String document;

    @Column(name = "tried_at", nullable = false)
    private Instant triedAt;

    private String fault;

    protected AnswerRow() {}

    AnswerRow(String service, String place) {
        this.service = service;
        this.place = place;
    }

    void answered(String text, Instant at) {
        this.document = text;
        this.fetchedAt = at;
        this.triedAt = at;
        this.fault = null;
    }

    void failed(String why, Instant at) {
        this.triedAt = at;
        this.fault = why;
    }

    Optional<Instant> fetchedAt() {
        return Optional.ofNullable(fetchedAt);
    }

    Optional<String> document() {
        return Optional.ofNullable(document);
    }

    Instant triedAt() {
        return triedAt;
    }

    Optional<String> fault() {
        return Optional.ofNullable(fault);
    }
}
