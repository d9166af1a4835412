package app.etlo.core.termination;

import app.etlo.core.ground.ModelError;
import app.etlo.core.mix.SeasonGrowth;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.weather.Percentiles;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;

/**
 * What was simulated of a stand before it was typed or weighed.
 *
 * @param mass dry tops, kg/ha
 * @param nitrogenPercent of the dry tops
 */
public record StandForecast(Figure mass, Figure nitrogenPercent) implements Figured {
    private static final Formula SIMULATED = Formula.of(
            "From the simulation", "value", Source.own("the ground simulation: docs/simulation.md"), "value");
    private static final String YEARS = "the middle and 8 of 10 weather years, with the simulation's own error";

    /**
     * @param prefix of the figures' ids
     * @param errorOfMass of the simulation, one standard deviation as a share of the middle
     * @return empty where nothing grows in the middle of the years
     */
    public static Optional<StandForecast> of(String prefix, SeasonGrowth growth, double errorOfMass) {
        Percentiles p = Percentiles.of(growth.massKgHa());
        if (p.at(0.5) <= 0) {
            return Optional.empty();
        }
        Band mass = ModelError.widen(new Band(p.at(0.1), p.at(0.5), p.at(0.9)), errorOfMass);
        return Optional.of(new StandForecast(
                SIMULATED.figure(
                        prefix + "/mass",
                        "Dry tops simulated without it",
                        Unit.KG_PER_HA,
                        Input.banded("value", "Dry tops", mass, Unit.KG_PER_HA, Origin.FORECAST, YEARS)),
                SIMULATED.figure(
                        prefix + "/nitrogenPercent",
                        "Nitrogen in the dry tops simulated without it",
                        Unit.PERCENT,
                        Input.of(
                                "value",
                                "Nitrogen in the dry tops",
                                growth.nitrogenShare() * 100,
                                Unit.PERCENT,
                                Origin.FORECAST,
                                YEARS))));
    }

    @Override
    public List<Figure> figures() {
        return List.of(mass, nitrogenPercent);
    }
}
