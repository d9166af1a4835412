package app.etlo.core.plan.growth;

import app.etlo.core.ground.ModelError;
import app.etlo.core.mix.MixForecast;
import app.etlo.core.mix.MixSeason;
import app.etlo.core.mix.SeasonGrowth;
import app.etlo.core.quantity.Band;
import java.util.List;
import java.util.function.Function;

/**
 * What a mix grows into in the ground of its plan: with the soil, water and nitrogen that stand before it, in every weather year.
 */
public final class GroundForecast implements MixForecast {
    private final MixSeason season;
    private final double errorOfMass;
    private final Function<List<Sown>, SeasonGrowth> grow;

    /**
     * @param errorOfMass one standard deviation of the model, as a share of the middle
     * @param grow simulates the plan with a mix in this cover's place, until the season ends
     */
    GroundForecast(MixSeason season, double errorOfMass, Function<List<Sown>, SeasonGrowth> grow) {
        this.season = season;
        this.errorOfMass = errorOfMass;
        this.grow = grow;
    }

    @Override
    public SeasonGrowth grow(List<Sown> mix) {
        return grow.apply(mix);
    }

    @Override
    public Band widened(Band weather) {
        return ModelError.widen(weather, errorOfMass);
    }

    @Override
    public MixSeason season() {
        return season;
    }
}
