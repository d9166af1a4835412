package app.etlo.core.field;

import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.List;
import net.sf.geographiclib.Geodesic;
import net.sf.geographiclib.PolygonArea;

/** The area of a field: measured on the ellipsoid from its boundary, or as typed. */
public final class FieldArea {
    private static final Source KARNEY = Source.fromMemory(
            "Karney 2013, Algorithms for geodesics, Journal of Geodesy 87:43, on the WGS 84 ellipsoid, as GeographicLib computes it");
    private static final Formula TYPED =
            Formula.of("Field area", "area", Source.own("the area as typed by the adviser"), "area");

    private FieldArea() {}

    /** Geodesic area of the parts less their holes, ha. Edges are geodesics between the positions. */
    public static Figure of(Boundary boundary) {
        List<Input> inputs = new ArrayList<>();
        StringBuilder expression = new StringBuilder("(");
        for (Boundary.Part part : boundary.parts()) {
            add(inputs, expression, " + ", "Part", part.outer());
            part.holes().forEach(h -> add(inputs, expression, " - ", "Hole", h));
        }
        expression.append(") / 10000");
        Formula rule = Formula.of(
                "Field area from the boundary",
                expression.toString(),
                KARNEY,
                inputs.stream().map(Input::symbol).toArray(String[]::new));
        return rule.figure("field/area", "Field area", Unit.HECTARE, inputs);
    }

    /** The area as typed. */
    public static Figure typed(Quantity area) {
        return TYPED.figure(
                "field/area",
                "Field area",
                Unit.HECTARE,
                Input.of("area", "Area", area.in(Unit.HECTARE), Unit.HECTARE, Origin.ENTERED, "typed"));
    }

    /** Geodesic area of one ring, m2, whichever way it runs. */
    static double ringAreaM2(Boundary.Ring ring) {
        PolygonArea polygon = new PolygonArea(Geodesic.WGS84, false);
        ring.positions().stream().limit(ring.positions().size() - 1L).forEach(p -> polygon.AddPoint(p.lat(), p.lon()));
        return Math.abs(polygon.Compute().area);
    }

    private static void add(
            List<Input> inputs, StringBuilder expression, String sign, String label, Boundary.Ring ring) {
        String symbol = "r" + (inputs.size() + 1);
        if (!inputs.isEmpty()) {
            expression.append(sign);
        }
        expression.append(symbol);
        String name = label + " " + (inputs.size() + 1);
        inputs.add(Input.of(
                symbol,
                name,
                ringAreaM2(ring),
                Unit.SQUARE_METRE,
                Origin.MEASURED,
                "boundary, geodesic area of the ring"));
    }
}
