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

/**
 * Residue left by the harvest of a grain crop: what is not grain of the tops as simulated; by a yield that somebody typed dry grain x
 * (1 - HI) / HI; less the straw that is taken. Nothing is taken off for decay.
 */
public final class HarvestResidue {
    private static final Formula MASS = Formula.of(
                    "Residue after harvest",
                    "grain * (1 - moisture / 100) * (1 - hi) / hi * (1 - taken / 100)",
                    Source.identity("definition of the harvest index"),
                    "grain",
                    "moisture",
                    "hi",
                    "taken")
            .remarking("mass on the day of harvest; decay comes with the simulation");
    private static final Formula OF_TOPS = Formula.of(
                    "Residue after harvest",
                    "tops * (1 - hi) * (1 - taken / 100)",
                    Source.identity("definition of the harvest index"),
                    "tops",
                    "hi",
                    "taken")
            .remarking("mass on the day of harvest; a yield goal that is typed takes the place of the simulated tops");

    private HarvestResidue() {}

    /**
     * Dry residue, kg/ha; empty where no harvest index is held.
     *
     * @param typed yield as mass; empty where nobody typed one
     * @param tops of the crop at harvest as simulated; without them the crop's usual yield counts
     * @param cut the straw that is taken
     */
    public static Optional<Figure> of(
            String prefix, Crop crop, Optional<Quantity> typed, Optional<Figure> tops, HarvestCut cut) {
        if (typed.isEmpty() && tops.isPresent()) {
            return crop.harvestIndex()
                    .map(hi -> OF_TOPS.figure(
                            prefix + "/residue",
                            "Residue after " + crop.name(),
                            Unit.KG_PER_HA,
                            Input.figure("tops", tops.get(), Unit.KG_PER_HA),
                            index(crop, hi),
                            taken(crop, cut)));
        }
        return crop.harvestIndex()
                .map(hi -> MASS.figure(
                        prefix + "/residue",
                        "Residue after " + crop.name(),
                        Unit.KG_PER_HA,
                        Input.of(
                                "grain",
                                "Grain yield as sold",
                                typed.map(q -> q.in(Unit.KG_PER_HA))
                                        .orElse(crop.yieldKgHa().middle()),
                                Unit.KG_PER_HA,
                                typed.isPresent() ? Origin.ENTERED : Origin.DEFAULT,
                                typed.isPresent() ? "yield goal" : "usual yield"),
                        Input.of(
                                "moisture",
                                "Grain moisture",
                                crop.grainMoisture() * 100,
                                Unit.PERCENT,
                                Origin.LIBRARY,
                                crop.source().text()),
                        index(crop, hi),
                        taken(crop, cut)));
    }

    private static Input taken(Crop crop, HarvestCut cut) {
        return Input.of(
                "taken",
                "Taken with the straw",
                cut.taken(crop) * 100,
                Unit.PERCENT,
                cut.strawTaken() > 0 ? Origin.ENTERED : Origin.DEFAULT,
                cut.strawTaken() > 0 ? "straw taken of what lies behind the header" : "no straw is taken");
    }

    private static Input index(Crop crop, double hi) {
        return Input.of(
                "hi",
                "Harvest index",
                hi,
                Unit.FRACTION,
                Origin.LIBRARY,
                crop.source().text());
    }
}
