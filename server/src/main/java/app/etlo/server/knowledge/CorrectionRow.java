package app.etlo.server.knowledge;

import app.etlo.core.knowledge.Correction;
import app.etlo.server.documents.WorkspaceRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Optional;
import org.hibernate.annotations.Immutable;

/** One change of a cell of the species library; without a value the library's own holds again. */
@Entity
@Immutable
@Table(name = "species_correction")
class CorrectionRow extends WorkspaceRow {
    @Column(nullable = false)
    private String species;

    @Column(name = "column_id", nullable = false)
    private String columnId;

    private String value;

    @Column(nullable = false)
    private String author;

    @Column(name = "corrected_on", nullable = false)
    private LocalDate correctedOn;

    @Column(nullable = false)
    private String why;

    protected CorrectionRow() {}

    CorrectionRow(Correction c) {
        this(c.species(), c.column(), c.value(), c.by(), c.on(), c.why());
    }

    CorrectionRow(String species, String columnId, String value, String author, LocalDate on, String why) {
        this.species = species;
        this.columnId = columnId;
        this.value = value;
        this.author = author;
        this.correctedOn = on;
        this.why = why;
    }

    Optional<String> value() {
        return Optional.ofNullable(value);
    }

    String cell() {
        return species + "/" + columnId;
    }

    Correction correction() {
        return new Correction(species, columnId, value, author, correctedOn, why);
    }
}
