package app.etlo.core.mix;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import java.util.Optional;

/** Species, lots and sowings that the tests of the mix start from. */
final class Seeds {
    static final Knowledge KNOWLEDGE = KnowledgeLoader.shipped();

    private Seeds() {}

    static SeedLot lot(String species, double purity, double germination, double hard, boolean included) {
        return new SeedLot(
                "l-" + species,
                species,
                "L " + species,
                purity,
                germination,
                hard,
                included,
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Quantity(2, Unit.MONEY_PER_KG)),
                Optional.of(new Quantity(25, Unit.KILOGRAM)),
                false,
                SeedTag.SILENT);
    }

    static Component share(String species, double share, SeedLot lot) {
        return new Component(
                KNOWLEDGE.species().get(species),
                Optional.of(share),
                Optional.empty(),
                Optional.empty(),
                Optional.ofNullable(lot),
                SownZone.whole("mix/v1"));
    }

    static Component share(String species, double share) {
        return share(species, share, null);
    }

    static Component density(String species, double perM2, SeedLot lot) {
        return new Component(
                KNOWLEDGE.species().get(species),
                Optional.empty(),
                Optional.of(new Quantity(perM2, Unit.PER_M2)),
                Optional.empty(),
                Optional.ofNullable(lot),
                SownZone.whole("mix/v1"));
    }

    static Sowing drilled(double areaHa) {
        return sowing("drilled", 1, areaHa);
    }

    static Sowing sowing(String method, double lateness, double areaHa) {
        return new Sowing(
                KNOWLEDGE.sowingMethods().get(method),
                lateness,
                1,
                1,
                KNOWLEDGE.purposes().get("cover"),
                Input.of("area", "Sown area", areaHa, Unit.HECTARE, Origin.ENTERED, "test"),
                0.03,
                false,
                3,
                50,
                false,
                java.util.Optional.of(400.0),
                java.util.Optional.empty(),
                java.util.Map.of());
    }
}
