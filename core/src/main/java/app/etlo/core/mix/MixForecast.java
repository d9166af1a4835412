package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Band;
import app.etlo.core.weather.YearFigure;
import app.etlo.core.working.Figure;
import java.util.List;

/**
 * What a mix grows into. The mix room owns it and asks it; who answers may change: a simple competition, or the ground simulation
 * that the plan brings.
 */
public interface MixForecast {
    /**
     * Dry tops of each species when the mix ends, for every weather year.
     *
     * @param mix species with their shares of the full rate
     * @return kg/ha by species in the order given, then by member
     */
    double[][] massKgHa(List<Sown> mix);

    /**
     * Dry tops of one species of a mix in a named weather year, t/ha, with how they came about.
     *
     * @param id of the figure
     * @param of place of the species in the mix
     */
    Figure part(String id, List<Sown> mix, int of, YearFigure year);

    /** Nitrogen in the tops of one species of a mix in a weather year, kg/ha. */
    double nitrogenKgHa(List<Sown> mix, int of, int member);

    /** The band of a mass, from that of the weather years alone: wider where the forecast knows its own error. */
    default Band widened(Band weather) {
        return weather;
    }

    /** What a species would do alone in the same season. */
    Prospect alone(Species species);

    /** The season it is for. */
    MixSeason season();

    /**
     * @param share of its full single-species rate, 0 or more
     */
    record Sown(Species species, double share) {}
}
