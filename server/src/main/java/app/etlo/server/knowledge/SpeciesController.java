package app.etlo.server.knowledge;

import app.etlo.core.knowledge.Caution;
import app.etlo.core.knowledge.Correction;
import app.etlo.core.knowledge.Group;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.SpeciesColumn;
import app.etlo.core.working.Source;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Adviser;
import app.etlo.server.documents.NotFound;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The species library with its sources, and the practice's own corrections of it. */
@RestController
class SpeciesController {
    private static final int LONGEST_REASON = 400;
    private static final String WHY = "say why, in 1 to " + LONGEST_REASON + " characters; the working shows it";

    private final Knowledge shipped;
    private final Corrections corrections;

    SpeciesController(Knowledge shipped, Corrections corrections) {
        this.shipped = shipped;
        this.corrections = corrections;
    }

    /**
     * A species as its sheet stands.
     *
     * @param cells text by column, corrections in place; a column without text is left out
     * @param sources by column, as a place in the sheet's list of sources
     * @param corrections by column
     */
    record SheetView(
            String id,
            String name,
            Group group,
            Map<String, String> cells,
            Map<String, Integer> sources,
            Map<String, CorrectionView> corrections) {}

    /**
     * @param library what the library says itself
     */
    record CorrectionView(String by, LocalDate on, String why, String library) {}

    record SourceView(String text, Source.Status status) {}

    record ColumnView(
            String id,
            String name,
            Optional<String> unit,
            String kind,
            Optional<Double> low,
            Optional<Double> high,
            List<String> choices,
            String section,
            String confidence) {
        static ColumnView of(SpeciesColumn c) {
            return new ColumnView(
                    c.id(),
                    c.name(),
                    c.unit(),
                    c.kind().id(),
                    c.low(),
                    c.high(),
                    c.choices(),
                    c.section(),
                    c.confidence());
        }
    }

    record SpeciesView(
            List<ColumnView> columns,
            List<SheetView> species,
            List<SourceView> sources,
            Collection<Caution> cautions) {}

    @Access(Who.MEMBER)
    @GetMapping("/api/species")
    SpeciesView species() {
        List<Correction> own = corrections.all();
        Knowledge here = shipped.corrected(own);
        Map<Source, Integer> sources = new LinkedHashMap<>();
        List<SheetView> sheets =
                here.species().all().stream().map(s -> sheet(s, own, sources)).toList();
        return new SpeciesView(
                here.sheets().columns().stream().map(ColumnView::of).toList(),
                sheets,
                sources.keySet().stream()
                        .map(s -> new SourceView(s.text(), s.status()))
                        .toList(),
                here.cautions().all());
    }

    private SheetView sheet(Species s, List<Correction> all, Map<Source, Integer> sources) {
        Map<String, Correction> own = new LinkedHashMap<>();
        all.stream().filter(c -> c.species().equals(s.id())).forEach(c -> own.put(c.column(), c));
        Map<String, String> cells = new LinkedHashMap<>();
        Map<String, Integer> from = new LinkedHashMap<>();
        Map<String, CorrectionView> corrected = new LinkedHashMap<>();
        for (SpeciesColumn c : shipped.sheets().columns()) {
            Optional<String> library = shipped.sheets().shipped(s.id(), c.id());
            Optional.ofNullable(own.get(c.id()))
                    .map(Correction::value)
                    .or(() -> library)
                    .ifPresent(text -> {
                        cells.put(c.id(), text);
                        Source source = s.sourceOf(c.id());
                        sources.putIfAbsent(source, sources.size());
                        from.put(c.id(), sources.get(source));
                    });
            Optional.ofNullable(own.get(c.id()))
                    .ifPresent(k -> corrected.put(
                            c.id(), new CorrectionView(k.by(), k.on(), k.why(), library.orElse("nothing"))));
        }
        return new SheetView(s.id(), s.name(), s.group(), cells, from, corrected);
    }

    record CellSave(
            @NotBlank(message = "type the value you use here")
            String value,

            @NotBlank(message = WHY) @Size(max = LONGEST_REASON, message = WHY)
            String why) {}

    @Access(Who.MEMBER)
    @PutMapping("/api/species/{speciesId}/cells/{columnId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void correct(
            @PathVariable String speciesId,
            @PathVariable String columnId,
            @Valid @RequestBody CellSave save,
            @AuthenticationPrincipal Adviser adviser) {
        corrections.correct(known(speciesId), columnId, save.value(), save.why(), adviser.email());
    }

    @Access(Who.MEMBER)
    @DeleteMapping("/api/species/{speciesId}/cells/{columnId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(
            @PathVariable String speciesId, @PathVariable String columnId, @AuthenticationPrincipal Adviser adviser) {
        corrections.takeBack(known(speciesId), columnId, adviser.email());
    }

    /**
     * @param value absent where the library's value was put back
     */
    record CellChange(String column, Optional<String> value, String by, LocalDate on, String why) {}

    @Access(Who.MEMBER)
    @GetMapping("/api/species/{speciesId}/corrections")
    List<CellChange> history(@PathVariable String speciesId) {
        return corrections.history(known(speciesId)).stream()
                .map(c -> new CellChange(c.column(), Optional.ofNullable(c.value()), c.by(), c.on(), c.why()))
                .toList();
    }

    private String known(String species) {
        return shipped.species().find(species).map(Species::id).orElseThrow(() -> new NotFound("species"));
    }
}
