package app.etlo.core.termination;

import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.List;

/**
 * What stands in the field when the cover is ended. Both numbers are typed or weighed; what is simulated stands beside them.
 *
 * @param nitrogenPercent of the dry tops
 */
public record Stand(Evidence evidence, Figure biomass, Figure nitrogenPercent, Figure nitrogenInTops)
        implements Figured {
    private static final Formula TYPED_BIOMASS =
            Formula.of("Biomass expected", "biomass", Source.own("the adviser's own expectation"), "biomass");
    private static final Formula TYPED_N =
            Formula.of("Nitrogen content", "n", Source.own("the adviser's own value"), "n");
    private static final Formula IN_TOPS = Formula.of(
            "Nitrogen in the tops",
            "biomass * n / 100",
            Source.identity("biomass times its nitrogen content"),
            "biomass",
            "n");

    /** A stand whose biomass is typed. */
    public static Stand typed(String prefix, Evidence evidence, Quantity biomass, double nitrogenPercent) {
        Figure mass = TYPED_BIOMASS.figure(
                prefix + "/biomass",
                "Biomass above ground, dry",
                Unit.KG_PER_HA,
                Input.of("biomass", "Biomass", biomass.in(Unit.KG_PER_HA), Unit.KG_PER_HA, origin(evidence), "typed"));
        return of(prefix, evidence, mass, nitrogenPercent);
    }

    /** A stand weighed with a quadrat. */
    public static Stand weighed(String prefix, Quadrat quadrat, double nitrogenPercent) {
        return of(prefix, Evidence.WEIGHED, quadrat.biomass(prefix + "/biomass"), nitrogenPercent);
    }

    private static Stand of(String prefix, Evidence evidence, Figure biomass, double nitrogenPercent) {
        Figure n = TYPED_N.figure(
                prefix + "/nitrogenPercent",
                "Nitrogen in the dry tops",
                Unit.PERCENT,
                Input.of("n", "Nitrogen content", nitrogenPercent, Unit.PERCENT, origin(evidence), "typed"));
        Figure inTops = IN_TOPS.figure(
                prefix + "/nitrogenInTops",
                "Nitrogen in the tops",
                Unit.KG_PER_HA,
                Input.figure("biomass", biomass),
                Input.figure("n", n));
        return new Stand(evidence, biomass, n, inTops);
    }

    @Override
    public List<Figure> figures() {
        return List.of(biomass, nitrogenPercent, nitrogenInTops);
    }

    private static Origin origin(Evidence evidence) {
        return evidence == Evidence.WEIGHED ? Origin.MEASURED : Origin.FORECAST;
    }
}
