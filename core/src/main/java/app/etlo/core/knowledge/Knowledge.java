package app.etlo.core.knowledge;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The tables Etlo computes with. */
public record Knowledge(
        Library<Species> species,
        Library<Crop> crops,
        Library<FieldOperation> operations,
        Library<PlantingSystem> plantingSystems,
        Library<SowingMethod> sowingMethods,
        Library<SowingWay> sowingWays,
        Library<CoverPurpose> purposes,
        Library<School> schools,
        Library<TerminationMethod> terminationMethods,
        Library<EndZone> endZones,
        Library<CropLateness> lateness,
        Library<Product> products,
        Library<Aim> aims,
        Library<Station> stations,
        Library<Caution> cautions,
        Library<StockClass> stockClasses,
        Library<Removal> removals,
        PlantKinds plantKinds,
        SpeciesSheets sheets) {

    /**
     * The kinds by which plants are grown in the simulation.
     *
     * @param ofSpecies kind by species
     * @param ofCrop kind by crop
     */
    public record PlantKinds(Library<PlantKind> kinds, Map<String, String> ofSpecies, Map<String, String> ofCrop) {
        /**
         * @throws MissingPlantKind when the tables hold none for it
         */
        public PlantKind species(String id) {
            return of(ofSpecies, id);
        }

        /**
         * @throws MissingPlantKind when the tables hold none for it
         */
        public PlantKind crop(String id) {
            return of(ofCrop, id);
        }

        private PlantKind of(Map<String, String> kindOf, String id) {
            return Optional.ofNullable(kindOf.get(id)).map(kinds::get).orElseThrow(() -> new MissingPlantKind(id));
        }
    }

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
                sowingWays,
                purposes,
                schools,
                terminationMethods,
                endZones,
                lateness,
                products,
                aims,
                stations,
                cautions,
                stockClasses,
                removals,
                plantKinds,
                sheets);
    }
}
