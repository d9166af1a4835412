package app.etlo.core.tillage;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.List;

/**
 * The soil tillage intensity rating of the passes of one cash crop: from after the previous harvest through its own.
 *
 * <p>Each pass counts 0.5 x speed (mph) x 3.25 x type x depth (in) x share of the surface disturbed.
 */
public final class DisturbanceRating {
    private static final Source NRCS = Source.fromMemory("USDA NRCS, soil tillage intensity rating");
    private static final Formula PASS = Formula.of(
                    "Soil tillage intensity rating of a pass",
                    "0.5 * speed * 3.25 * type * depth * share / 100",
                    NRCS,
                    "speed",
                    "type",
                    "depth",
                    "share")
            .remarking(
                    "type: inversion 1.0, mixing with some inversion 0.8, mixing 0.7, lifting 0.4, compression 0.15");
    private static final double CM_PER_IN = 2.54;

    private DisturbanceRating() {}

    /** The rating of one pass. */
    public static Figure of(String prefix, Pass pass) {
        var op = pass.operation();
        return PASS.figure(
                prefix + "/" + pass.id() + "/rating",
                op.name(),
                Unit.DISTURBANCE,
                Input.of(
                        "speed",
                        "Speed",
                        pass.speed().map(q -> q.in(Unit.MILE_PER_H)).orElse(op.speedMph()),
                        Unit.MILE_PER_H,
                        pass.speed().isPresent() ? Origin.ENTERED : Origin.LIBRARY,
                        from(pass.speed().isPresent(), pass)),
                Input.of(
                        "type",
                        "Type: " + op.type().id(),
                        op.type().weight(),
                        Unit.FRACTION,
                        Origin.LIBRARY,
                        from(false, pass)),
                Input.of(
                        "depth",
                        "Depth",
                        pass.depth().map(q -> q.in(Unit.CENTIMETRE) / CM_PER_IN).orElse(op.depthIn()),
                        Unit.INCH,
                        pass.depth().isPresent() ? Origin.ENTERED : Origin.LIBRARY,
                        from(pass.depth().isPresent(), pass)),
                Input.of(
                        "share",
                        "Surface disturbed",
                        pass.shareDisturbed() * 100,
                        Unit.PERCENT,
                        pass.share().isPresent() ? Origin.ENTERED : Origin.LIBRARY,
                        from(pass.share().isPresent(), pass)));
    }

    /** The sum over the passes of a crop; nothing disturbed gives zero. */
    public static Figure sum(String prefix, List<Figure> ratings) {
        List<Input> inputs = new ArrayList<>();
        for (Figure r : ratings) {
            inputs.add(Input.figure("s" + (inputs.size() + 1), r));
        }
        return Formula.sum("Soil tillage intensity rating, previous harvest to own harvest", ratings.size())
                .figure(prefix + "/rating", "Soil disturbance", Unit.DISTURBANCE, inputs);
    }

    private static String from(boolean typed, Pass pass) {
        return typed ? "typed" : pass.operation().source().text();
    }
}
