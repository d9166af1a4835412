package app.etlo.core.tillage;

import app.etlo.core.knowledge.Crop;
import java.util.Optional;

/**
 * How a crop's tops are cut and what of them leaves the field beside the grain.
 *
 * @param stubbleCm at which the header cuts; as is usual for the crop where none is typed
 * @param strawTaken share of what lies behind the header, 0 to 1
 */
public record HarvestCut(Optional<Double> stubbleCm, double strawTaken) {
    public static final HarvestCut USUAL = new HarvestCut(Optional.empty(), 0);

    /** Stems are heaviest at their foot: a cut at half their height leaves some six tenths (common practice in straw balances). */
    private static final double FOOT_HEAVY = 0.75;

    /** Share of what is no grain that stands as stubble, before straw is taken. */
    public double standing(Crop crop) {
        return stubbleCm
                .map(cm -> Math.pow(Math.min(1, cm / (100 * crop.heightM())), FOOT_HEAVY))
                .orElse(crop.growing().taken().standing());
    }

    /** Share of what is no grain that leaves the field. */
    public double taken(Crop crop) {
        return (1 - standing(crop)) * strawTaken;
    }

    /** Of a share removed with the harvest: with the straw too. */
    public double removed(Crop crop, double harvested) {
        return harvested + (1 - harvested) * taken(crop);
    }

    /** Share of what stays on the field that stands; 1 where all that lay was taken. */
    public double standingOfLeft(Crop crop) {
        double left = 1 - taken(crop);
        return left <= 0 ? 1 : standing(crop) / left;
    }
}
