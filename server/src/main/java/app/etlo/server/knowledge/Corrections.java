package app.etlo.server.knowledge;

import app.etlo.core.knowledge.Correction;
import app.etlo.core.knowledge.CorrectionRefused;
import app.etlo.core.knowledge.Knowledge;
import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A practice's own values in the species library. */
@Service
@Transactional
public class Corrections {
    private final CorrectionRepository rows;
    private final Knowledge shipped;
    private final Clock clock;

    Corrections(CorrectionRepository rows, Knowledge shipped, Clock clock) {
        this.rows = rows;
        this.shipped = shipped;
        this.clock = clock;
    }

    /** Those in force, in the order they were first made. */
    @Transactional(readOnly = true)
    public List<Correction> all() {
        Map<String, CorrectionRow> newest = new LinkedHashMap<>();
        rows.findAllByOrderById().forEach(r -> newest.put(r.cell(), r));
        return newest.values().stream()
                .filter(r -> r.value().isPresent())
                .map(CorrectionRow::correction)
                .toList();
    }

    /** The library with this practice's corrections. */
    @Transactional(readOnly = true)
    public Knowledge knowledge() {
        return shipped.corrected(all());
    }

    /**
     * Puts a value over the library's.
     *
     * @throws CorrectionRefused when it cannot stand beside the other cells of the species
     */
    void correct(String species, String column, String value, String why, String author) {
        if (shipped.sheets().columns().stream().noneMatch(x -> x.id().equals(column))) {
            throw new CorrectionRefused("/column", "there is no such column");
        }
        Correction c = new Correction(species, column, value.strip(), author, LocalDate.now(clock), why.strip());
        List<Correction> together = new java.util.ArrayList<>(all());
        together.removeIf(old -> old.species().equals(species) && old.column().equals(column));
        together.add(c);
        shipped.corrected(together);
        rows.save(new CorrectionRow(c));
    }

    /** Lets the library's value hold again. */
    void takeBack(String species, String column, String author) {
        List<Correction> together = new java.util.ArrayList<>(all());
        if (together.removeIf(
                old -> old.species().equals(species) && old.column().equals(column))) {
            shipped.corrected(together);
            rows.save(new CorrectionRow(
                    species, column, null, author, LocalDate.now(clock), "the library's value holds again"));
        }
    }

    /** Every change of a species' cells, newest first. */
    @Transactional(readOnly = true)
    List<Correction> history(String species) {
        return rows.findBySpeciesOrderByIdDesc(species).stream()
                .map(CorrectionRow::correction)
                .toList();
    }
}
