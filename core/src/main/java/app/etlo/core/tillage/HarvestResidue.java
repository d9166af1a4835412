package app.etlo.core.tillage;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.Optional;

/** Residue left by the harvest of a grain crop: dry grain x (1 - HI) / HI. Nothing is taken off for bales or decay. */
public final class HarvestResidue {
    private static final Formula MASS = Formula.of(
                    "Residue after harvest",
                    "grain * (1 - moisture / 100) * (1 - hi) / hi",
                    Source.identity("definition of the harvest index"),
                    "grain",
                    "moisture",
                    "hi")
            .remarking("mass on the day of harvest; decay comes with the simulation");

    private HarvestResidue() {}

    /** Dry residue, kg/ha; empty where no harvest index is held. */
    public static Optional<Figure> of(String prefix, Crop crop, Optional<Quantity> yieldMass) {
        return crop.harvestIndex()
                .map(hi -> MASS.figure(
                        prefix + "/residue",
                        "Residue after " + crop.name(),
                        Unit.KG_PER_HA,
                        Input.of(
                                "grain",
                                "Grain yield as sold",
                                yieldMass
                                        .map(q -> q.in(Unit.KG_PER_HA))
                                        .orElse(crop.yieldKgHa().middle()),
                                Unit.KG_PER_HA,
                                yieldMass.isPresent() ? Origin.ENTERED : Origin.DEFAULT,
                                yieldMass.isPresent() ? "yield goal" : "usual yield"),
                        Input.of(
                                "moisture",
                                "Grain moisture",
                                crop.grainMoisture() * 100,
                                Unit.PERCENT,
                                Origin.LIBRARY,
                                crop.source().text()),
                        Input.of(
                                "hi",
                                "Harvest index",
                                hi,
                                Unit.FRACTION,
                                Origin.LIBRARY,
                                crop.source().text())));
    }
}
