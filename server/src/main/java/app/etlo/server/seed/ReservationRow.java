package app.etlo.server.seed;

import app.etlo.server.documents.WorkspaceRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

/** Seed of a lot that a cover of a plan has taken hold of. */
@Entity
@Immutable
@Table(name = "seed_reservation")
class ReservationRow extends WorkspaceRow {
    @Column(name = "lot_ref", nullable = false)
    private String lotRef;

    @Column(name = "plan_ref", nullable = false)
    private String planRef;

    @Column(name = "cover_ref", nullable = false)
    private String coverRef;

    @Column(nullable = false)
    private double kilograms;

    @Column(nullable = false)
    private String author;

    @Column(name = "reserved_at", nullable = false)
    private Instant reservedAt;

    protected ReservationRow() {}

    ReservationRow(String lotRef, String planRef, String coverRef, double kilograms, String author, Instant at) {
        this.lotRef = lotRef;
        this.planRef = planRef;
        this.coverRef = coverRef;
        this.kilograms = kilograms;
        this.author = author;
        this.reservedAt = at;
    }

    String lotRef() {
        return lotRef;
    }

    String planRef() {
        return planRef;
    }

    String coverRef() {
        return coverRef;
    }

    double kilograms() {
        return kilograms;
    }

    String author() {
        return author;
    }
}
