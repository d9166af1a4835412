package app.etlo.core.nitrogen;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.GrainYield;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.Optional;

/**
 * What the crop needs, by school: yield goal times a factor, the rate that paid best where rates were tried, or a local recommendation.
 * The 0.6-0.7 lb of bought nitrogen per bushel that careful growers report has credits inside and is no need.
 */
public final class Need {
    private static final Formula BY_YIELD = Formula.of(
                    "Nitrogen need by yield goal",
                    "goal * factor",
                    Source.fromMemory("yield-goal school of land-grant recommendations: need before credits"),
                    "goal",
                    "factor")
            .remarking("evaluated in the units the factor is published in");
    private static final Formula USUAL = Formula.of(
                    "Nitrogen need, usual rate",
                    "rate",
                    Source.fromMemory("usual rates of extension guides, before credits"),
                    "rate")
            .remarking("no factor by yield is in use for this crop: the local recommendation goes before");
    private static final Formula BOUGHT = Formula.of(
                    "Nitrogen bought for the yield",
                    "(left + planned) / goal",
                    Source.fromMemory("growers' reports of 0.6-0.7 lb bought a bushel of corn"),
                    "left",
                    "planned",
                    "goal")
            .remarking("a cross-check: nothing is taken off by it");
    private static final Formula LOCAL = Formula.of(
            "Nitrogen need, local recommendation", "need", Source.own("typed from the local recommendation"), "need");

    private Need() {}

    /**
     * Yield goal times factor; of a crop that has a usual rate instead, that rate whatever the goal.
     *
     * @param factor typed; the crop's own range when absent
     * @return empty when there is no goal, no factor, or the goal's unit and the factor's do not meet
     */
    public static Optional<Figure> byYieldGoal(
            String prefix, Crop crop, Optional<Quantity> goal, Optional<Quantity> factor) {
        Optional<Band> rate =
                crop.need().filter(f -> factor.isEmpty() && !f.byYield()).map(Crop.NeedFactor::value);
        if (rate.isPresent()) {
            return rate.map(r -> usualRate(prefix, crop, r));
        }
        Optional<Unit> unit = factor.map(Quantity::unit).or(() -> crop.need().map(Crop.NeedFactor::unit));
        if (goal.isEmpty() || unit.isEmpty()) {
            return Optional.empty();
        }
        Unit goalUnit = goalUnit(unit.get());
        Optional<Quantity> yield = goalUnit == Unit.BU_PER_AC
                ? GrainYield.asBushels(goal.get(), crop)
                : GrainYield.asMass(goal.get(), crop);
        return yield.map(y -> BY_YIELD.figure(
                prefix + "/need",
                "Need",
                unit.get() == Unit.KG_N_PER_T ? Unit.KG_PER_HA : Unit.LB_PER_AC,
                Input.of("goal", "Yield goal", y.in(goalUnit), goalUnit, Origin.ENTERED, "rotation"),
                factor.map(f -> Input.of(
                                "factor", "Nitrogen per yield", f.value(), f.unit(), Origin.ENTERED, "feed step"))
                        .orElseGet(() -> usual(crop))));
    }

    private static Figure usualRate(String prefix, Crop crop, Band kgHa) {
        return USUAL.figure(
                prefix + "/need",
                "Need",
                Unit.KG_PER_HA,
                Input.banded(
                        "rate",
                        "Usual rate",
                        kgHa,
                        Unit.KG_PER_HA,
                        Origin.DEFAULT,
                        crop.source().text()));
    }

    /**
     * The rate that paid best where rates were tried: that of the plateau, which overstates less, else of the quadratic.
     *
     * @param ratio price of a kg of nitrogen over that of a kg of grain, above zero
     * @return empty where the response does not bend
     */
    public static Optional<Figure> optimum(String prefix, YieldResponse response, double ratio) {
        return response.plateau()
                .or(response::quadratic)
                .map(f -> f.best(prefix + "/need", ratio, response.mostKgHa()));
    }

    /**
     * Nitrogen that is bought, over the yield goal: a cross-check, from which nothing is taken off. Careful growers with split feeding
     * report 0.6 to 0.7 lb a bushel of corn (from memory).
     *
     * @param us whether it is read in lb and bushels; else in kg and tonnes
     * @param left kg/ha beyond what is planned
     * @return empty for a crop without a factor by yield, or without a goal
     */
    public static Optional<Figure> boughtForYield(
            String prefix, boolean us, Figure left, Optional<Figure> planned, Crop crop, Optional<Quantity> goal) {
        Optional<Unit> unit = crop.need()
                .filter(Crop.NeedFactor::byYield)
                .filter(f -> f.value().middle() > 0)
                .map(f -> !us ? Unit.KG_N_PER_T : f.unit() == Unit.KG_N_PER_T ? Unit.LB_N_PER_CWT : f.unit());
        if (goal.isEmpty() || unit.isEmpty()) {
            return Optional.empty();
        }
        Unit goalUnit = goalUnit(unit.get());
        Unit rate = unit.get() == Unit.KG_N_PER_T ? Unit.KG_PER_HA : Unit.LB_PER_AC;
        Optional<Quantity> yield = goalUnit == Unit.BU_PER_AC
                ? GrainYield.asBushels(goal.get(), crop)
                : GrainYield.asMass(goal.get(), crop);
        return yield.filter(y -> y.in(goalUnit) > 0)
                .map(y -> BOUGHT.figure(
                        prefix + "/boughtForYield",
                        "Bought for the yield",
                        unit.get(),
                        Input.figure("left", left, rate),
                        planned.map(p -> Input.figure("planned", p, rate))
                                .orElseGet(
                                        () -> Input.of("planned", "Planned", 0, rate, Origin.DEFAULT, "none planned")),
                        Input.of("goal", "Yield goal", y.in(goalUnit), goalUnit, Origin.ENTERED, "rotation")));
    }

    /** A local recommendation as typed. */
    public static Figure local(String prefix, Quantity need, String source) {
        String from = source.isBlank() ? "typed, no source given" : source;
        return LOCAL.figure(
                prefix + "/need",
                "Need",
                Unit.KG_PER_HA,
                Input.of("need", "Recommendation", need.in(Unit.KG_PER_HA), Unit.KG_PER_HA, Origin.ENTERED, from));
    }

    private static Unit goalUnit(Unit factor) {
        return switch (factor) {
            case LB_N_PER_BU -> Unit.BU_PER_AC;
            case LB_N_PER_CWT -> Unit.CWT_PER_AC;
            case KG_N_PER_T -> Unit.T_PER_HA;
            default -> throw new IllegalArgumentException("a nitrogen factor is per bu, cwt or t");
        };
    }

    private static Input usual(Crop crop) {
        Crop.NeedFactor f = crop.need().orElseThrow();
        Band band = f.value();
        return Input.banded(
                "factor",
                "Nitrogen per yield",
                band,
                f.unit(),
                Origin.DEFAULT,
                crop.source().text());
    }
}
