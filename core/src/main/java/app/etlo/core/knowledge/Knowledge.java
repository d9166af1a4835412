package app.etlo.core.knowledge;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The tables Etlo computes with. */
public record Knowledge(
        Library<Species> species,
        Library<Crop> crops,
        Library<FieldOperation> operations,
        Library<PlantingSystem> plantingSystems,
        Library<SowingMethod> sowingMethods,
        Library<TerminationMethod> terminationMethods,
        Library<Product> products,
        Library<Aim> aims,
        Library<Station> stations,
        Library<Caution> cautions,
        SpeciesSheets sheets) {

    /**
     * The same knowledge with a practice's own values in the species library.
     *
     * @throws CorrectionRefused when one of them cannot stand
     */
    public Knowledge corrected(List<Correction> corrections) {
        if (corrections.isEmpty()) {
            return this;
        }
        Map<String, Species> changed = new LinkedHashMap<>(species.byId());
        for (Correction c : corrections) {
            changed.put(c.species(), sheets.read(c.species(), corrections));
        }
        return new Knowledge(
                new Library<>(changed),
                crops,
                operations,
                plantingSystems,
                sowingMethods,
                terminationMethods,
                products,
                aims,
                stations,
                cautions,
                sheets);
    }
}
