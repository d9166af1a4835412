package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Band;
import java.util.List;

/** What a mix grows into. The mix room owns it and asks it; the plan answers with its own ground, simulated. */
public interface MixForecast {
    /**
     * What a mix comes to when it is sown and ended as the season says.
     *
     * @param mix species with their shares of the full rate
     */
    SeasonGrowth grow(List<Sown> mix);

    /** What a species would do alone, at its full rate, in the same season. */
    default SeasonGrowth alone(Species species) {
        return grow(List.of(new Sown(species, 1)));
    }

    /** The band of a mass, from that of the weather years alone: wider by the forecast's own error. */
    Band widened(Band weather);

    /** The season it is for. */
    MixSeason season();

    /**
     * @param share of its full single-species rate, 0 or more
     */
    record Sown(Species species, double share) {}
}
