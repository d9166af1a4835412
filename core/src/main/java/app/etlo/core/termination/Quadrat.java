package app.etlo.core.termination;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.List;

/**
 * Samples cut from a frame on the ground. Biomass is the mean fresh mass times its dry matter over the area of the frame;
 * its band is one standard error of the samples to either side (none for a single sample).
 *
 * @param samples fresh mass of each cut, at least one
 * @param dryMatter share of dry matter, 0 to 1
 */
public record Quadrat(Quantity frameArea, List<Quantity> samples, double dryMatter) {
    private static final Formula BIOMASS = Formula.of(
            "Biomass from quadrats",
            "fresh / 1000 * dry / 100 / frame * 10000",
            Source.commonPractice("quadrat cuts: mean mass over frame area; the band is one standard error"),
            "fresh",
            "dry",
            "frame");

    public Quadrat {
        samples = List.copyOf(samples);
        if (samples.isEmpty()) {
            throw new IllegalArgumentException("a quadrat needs a sample");
        }
    }

    /** Dry biomass above ground, kg/ha. */
    public Figure biomass(String id) {
        return BIOMASS.figure(
                id,
                "Biomass above ground, dry",
                Unit.KG_PER_HA,
                Input.banded(
                        "fresh",
                        "Mean fresh mass of " + samples.size() + (samples.size() == 1 ? " sample" : " samples"),
                        meanG(),
                        Unit.GRAM,
                        Origin.MEASURED,
                        "quadrat"),
                Input.of("dry", "Dry matter", dryMatter * 100, Unit.PERCENT, Origin.MEASURED, "quadrat"),
                Input.of(
                        "frame",
                        "Area of the frame",
                        frameArea.in(Unit.SQUARE_METRE),
                        Unit.SQUARE_METRE,
                        Origin.MEASURED,
                        "quadrat"));
    }

    private Band meanG() {
        double[] g = samples.stream().mapToDouble(q -> q.in(Unit.GRAM)).toArray();
        double mean = 0;
        for (double v : g) {
            mean += v / g.length;
        }
        double squares = 0;
        for (double v : g) {
            squares += (v - mean) * (v - mean);
        }
        double error = g.length < 2 ? 0 : Math.sqrt(squares / (g.length - 1) / g.length);
        return new Band(Math.max(0, mean - error), mean, mean + error);
    }
}
