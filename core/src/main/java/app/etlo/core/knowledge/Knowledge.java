package app.etlo.core.knowledge;

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
        Library<Station> stations) {}
