package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import java.util.List;

/**
 * What a mix grows into. The mix room owns it and asks it; who answers may change: a simple competition now, the ground
 * simulation when there is one.
 */
public interface MixForecast {
    /**
     * Dry tops of each species when the mix ends, for every weather year.
     *
     * @param mix species with their shares of the full rate
     * @return kg/ha by species in the order given, then by member
     */
    double[][] massKgHa(List<Sown> mix);

    /** What a species would do alone in the same season. */
    Prospect alone(Species species);

    /** The season it is for. */
    MixSeason season();

    /**
     * @param share of its full single-species rate, 0 or more
     */
    record Sown(Species species, double share) {}
}
