package app.etlo.core.plan.growth;

import app.etlo.core.ground.ModelError;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.MixForecast;
import app.etlo.core.mix.MixSeason;
import app.etlo.core.mix.Prospect;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.weather.YearFigure;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * What a mix grows into in the ground simulation of its plan: with the soil, water and nitrogen that stand before it. What a species
 * would do alone is still the simpler forecast, which judges all candidates at once.
 */
public final class GroundForecast implements MixForecast {
    private static final Formula GROWN = Formula.of(
            "Dry tops grown",
            "(light * use * left * 10 - lost) / 1000",
            Source.own(
                    "light taken, times its use, times what warmth, water, nitrogen and roots leave of it, less leaves"
                            + " fallen and what frost took: docs/simulation.md"),
            "light",
            "use",
            "left",
            "lost");
    private static final double LEAST = 1e-9;

    private final MixForecast simple;
    private final Knowledge knowledge;
    private final double errorOfMass;
    private final Function<List<Sown>, GrownMix> grow;
    private final Map<List<Sown>, GrownMix> grown = new HashMap<>();

    /**
     * @param simple answers for species alone
     * @param errorOfMass one standard deviation of the model, as a share of the middle
     * @param grow simulates the plan with a mix in this cover's place
     */
    GroundForecast(MixForecast simple, Knowledge knowledge, double errorOfMass, Function<List<Sown>, GrownMix> grow) {
        this.simple = simple;
        this.knowledge = knowledge;
        this.errorOfMass = errorOfMass;
        this.grow = grow;
    }

    private GrownMix of(List<Sown> mix) {
        return grown.computeIfAbsent(List.copyOf(mix), grow);
    }

    @Override
    public double[][] massKgHa(List<Sown> mix) {
        return of(mix).massKgHa();
    }

    @Override
    public double nitrogenKgHa(List<Sown> mix, int of, int member) {
        return of(mix).nitrogenKgHa()[of][member];
    }

    @Override
    public Band widened(Band weather) {
        return ModelError.widen(weather, errorOfMass);
    }

    @Override
    public Prospect alone(Species species) {
        return simple.alone(species);
    }

    @Override
    public MixSeason season() {
        return simple.season();
    }

    @Override
    public Figure part(String id, List<Sown> mix, int of, YearFigure year) {
        GrownMix g = of(mix);
        Species s = mix.get(of).species();
        double light = g.lightMjM2()[of][year.member()];
        double made = g.madeKgHa()[of][year.member()];
        double use = GroundEvents.plant(knowledge, s).lightUseGMj();
        return GROWN.figure(
                id,
                "Dry tops, " + s.name(),
                Unit.T_PER_HA,
                Input.of("light", "Light taken, MJ/m2", light, Unit.FRACTION, Origin.FORECAST, year.words()),
                Input.of("use", "Use of light, g/MJ", use, Unit.FRACTION, Origin.LIBRARY, "plant kinds, tuned or own"),
                Input.of(
                        "left",
                        "Left by warmth, water, nitrogen and roots",
                        light > LEAST ? made / (10 * light * use) : 0,
                        Unit.FRACTION,
                        Origin.FORECAST,
                        year.words()),
                Input.of(
                        "lost",
                        "Leaves fallen, frosted and eaten",
                        made - g.massKgHa()[of][year.member()],
                        Unit.KG_PER_HA,
                        Origin.FORECAST,
                        year.words()));
    }
}
