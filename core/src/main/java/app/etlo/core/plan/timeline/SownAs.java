package app.etlo.core.plan.timeline;

import app.etlo.core.plan.document.Operation.SownAsEntry;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.Optional;

/** The area that is sown where it is not the whole field: field area is not sown area. */
public final class SownAs {
    private static final Source GEOMETRY = Source.identity("geometry; 10,000 m2 are a hectare");
    private static final Formula BASINS = Formula.of(
            "Area of tree basins", "number * 3.14159265 * radius * radius / 10000", GEOMETRY, "number", "radius");
    private static final Formula STRIPS =
            Formula.of("Area of strips", "field * width / every", GEOMETRY, "field", "width", "every");
    private static final Formula ROWS = Formula.of(
            "Area under open drill rows", "field * sown / (sown + blocked)", GEOMETRY, "field", "sown", "blocked");

    private SownAs() {}

    /** The area, ha; empty while it is said by half. */
    public static Optional<Figure> area(String coverId, SownAsEntry a, Figure field) {
        String id = "sow/" + coverId + "/sownArea";
        return basins(id, a).or(() -> strips(id, a, field)).or(() -> rows(id, a, field));
    }

    private static Optional<Figure> basins(String id, SownAsEntry a) {
        return a.basinRadius()
                .flatMap(r -> a.basins()
                        .map(n -> BASINS.figure(
                                id,
                                "Sown area, tree basins",
                                Unit.HECTARE,
                                typed("number", "Basins", n, Unit.COUNT),
                                typed("radius", "Radius of a basin", r.in(Unit.METRE), Unit.METRE))));
    }

    private static Optional<Figure> strips(String id, SownAsEntry a, Figure field) {
        return a.stripWidth()
                .flatMap(w -> a.stripEvery()
                        .filter(e -> e.value() > 0)
                        .map(e -> STRIPS.figure(
                                id,
                                "Sown area, strips",
                                Unit.HECTARE,
                                Input.figure("field", field, Unit.HECTARE),
                                typed("width", "Width of a strip", w.in(Unit.METRE), Unit.METRE),
                                typed("every", "From strip to strip", e.in(Unit.METRE), Unit.METRE))));
    }

    private static Optional<Figure> rows(String id, SownAsEntry a, Figure field) {
        return a.rowsSown()
                .flatMap(s -> a.rowsBlocked()
                        .map(b -> ROWS.figure(
                                id,
                                "Sown area, open drill rows",
                                Unit.HECTARE,
                                Input.figure("field", field, Unit.HECTARE),
                                typed("sown", "Rows that sow", s, Unit.COUNT),
                                typed("blocked", "Rows that are blocked", b, Unit.COUNT))));
    }

    private static Input typed(String symbol, String label, double value, Unit unit) {
        return Input.of(symbol, label, value, unit, Origin.ENTERED, "typed for this sowing");
    }
}
