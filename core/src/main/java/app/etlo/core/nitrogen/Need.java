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
    private static final Formula LOCAL = Formula.of(
            "Nitrogen need, local recommendation", "need", Source.own("typed from the local recommendation"), "need");

    private Need() {}

    /**
     * Yield goal times factor.
     *
     * @param factor typed; the crop's own range when absent
     * @return empty when there is no goal, no factor, or the goal's unit and the factor's do not meet
     */
    public static Optional<Figure> byYieldGoal(
            String prefix, Crop crop, Optional<Quantity> goal, Optional<Quantity> factor) {
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
