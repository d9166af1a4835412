package app.etlo.core.termination;

import app.etlo.core.ground.GrownCover;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.About;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What stands in the field when the cover is ended: as simulated, unless it is typed or weighed.
 *
 * @param evidence of what was said; empty while it is simulated
 * @param nitrogenPercent of the dry tops
 */
public record Stand(Optional<Evidence> evidence, Figure biomass, Figure nitrogenPercent, Figure nitrogenInTops)
        implements Figured {
    private static final Formula SIMULATED = Formula.of(
            "From the simulation", "value", Source.own("the ground simulation: docs/simulation.md"), "value");
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

    /** As simulated; empty where nothing grows. */
    public static Optional<Stand> simulated(String prefix, GrownCover g) {
        return g.nitrogen()
                .flatMap(n -> g.nitrogenPercent()
                        .map(percent -> of(prefix, Optional.empty(), biomass(prefix, g), percent(prefix, percent))
                                .banded(n.value())));
    }

    /** As it has grown since it was typed or weighed on a day before its end. */
    public static Optional<Stand> since(String prefix, Evidence evidence, GrownCover g) {
        return simulated(prefix, g)
                .map(s -> new Stand(Optional.of(evidence), s.biomass(), s.nitrogenPercent(), s.nitrogenInTops()));
    }

    private static Figure biomass(String prefix, GrownCover g) {
        return SIMULATED.figure(
                prefix + "/biomass",
                "Biomass above ground, dry",
                Unit.KG_PER_HA,
                Input.figure("value", g.mass(), Unit.KG_PER_HA));
    }

    private static Figure percent(String prefix, Figure simulated) {
        return SIMULATED.figure(
                prefix + "/nitrogenPercent",
                "Nitrogen in the dry tops",
                Unit.PERCENT,
                Input.figure("value", simulated));
    }

    /**
     * As typed or weighed; what was not said of it is as simulated.
     *
     * @param biomass typed; {@code quadrat} weighed counts before it
     * @return empty where one of the two numbers is neither said nor simulated
     */
    public static Optional<Stand> said(
            String prefix,
            Evidence evidence,
            Optional<Quantity> biomass,
            Optional<Quadrat> quadrat,
            Optional<Double> nitrogenPercent,
            Optional<GrownCover> grown) {
        Optional<Figure> mass = quadrat.map(q -> q.biomass(prefix + "/biomass"))
                .or(() -> biomass.map(b -> TYPED_BIOMASS.figure(
                        prefix + "/biomass",
                        "Biomass above ground, dry",
                        Unit.KG_PER_HA,
                        Input.of(
                                "biomass",
                                "Biomass",
                                b.in(Unit.KG_PER_HA),
                                Unit.KG_PER_HA,
                                origin(evidence),
                                "typed"))))
                .or(() -> grown.map(g -> biomass(prefix, g)));
        Optional<Figure> percent = nitrogenPercent
                .map(n -> TYPED_N.figure(
                        prefix + "/nitrogenPercent",
                        "Nitrogen in the dry tops",
                        Unit.PERCENT,
                        Input.of("n", "Nitrogen content", n, Unit.PERCENT, origin(evidence), "typed")))
                .or(() -> grown.flatMap(GrownCover::nitrogenPercent).map(p -> percent(prefix, p)));
        return mass.flatMap(m -> percent.map(p -> of(prefix, Optional.of(evidence), m, p)));
    }

    private static Stand of(String prefix, Optional<Evidence> evidence, Figure biomass, Figure nitrogenPercent) {
        Figure inTops = IN_TOPS.figure(
                prefix + "/nitrogenInTops",
                "Nitrogen in the tops",
                Unit.KG_PER_HA,
                Input.figure("biomass", biomass),
                Input.figure("n", nitrogenPercent));
        return new Stand(evidence, biomass, nitrogenPercent, inTops);
    }

    /** With the band of the weather years in place of that of its lines. */
    private Stand banded(Band nitrogen) {
        return new Stand(evidence, biomass, nitrogenPercent, nitrogenInTops.banded(nitrogen));
    }

    /** The same, said to be of a cover on the day it ends. */
    public Stand of(String coverId, LocalDate end) {
        return new Stand(
                evidence,
                biomass.about(About.tops(coverId, end)),
                nitrogenPercent.about(About.nitrogenShare(coverId, end)),
                nitrogenInTops.about(About.nitrogen(coverId, end)));
    }

    public boolean isWeighed() {
        return evidence.filter(e -> e == Evidence.WEIGHED).isPresent();
    }

    @Override
    public List<Figure> figures() {
        return List.of(biomass, nitrogenPercent, nitrogenInTops);
    }

    private static Origin origin(Evidence evidence) {
        return evidence == Evidence.WEIGHED ? Origin.MEASURED : Origin.FORECAST;
    }
}
