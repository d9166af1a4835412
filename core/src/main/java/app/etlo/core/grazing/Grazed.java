package app.etlo.core.grazing;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;

/** What a share eaten of a stand takes and leaves. */
public final class Grazed {
    private static final Formula EATEN =
            Formula.of("Eaten", "tops * take / 100", Source.identity("a share of what stands"), "tops", "take");
    private static final Formula LEFT =
            Formula.of("Left", "tops - tops * take / 100", Source.identity("what is not eaten stays"), "tops", "take");
    private static final Formula AFTER = Formula.of("Left", "tops", Source.identity("as simulated"), "tops");
    private static final Formula HEIGHT = Formula.of(
            "Height left",
            "height - height * take / 100",
            Source.own("stock eat from the top down, so that height falls as mass does"),
            "height",
            "take");

    private Grazed() {}

    private static Input take(double percent) {
        return Input.of("take", "Of the tops eaten", percent, Unit.PERCENT, Origin.ENTERED, "plan");
    }

    private static Input tops(Band kgHa) {
        return Input.banded("tops", "Dry tops on that day", kgHa, Unit.KG_PER_HA, Origin.FORECAST, "simulation");
    }

    public static Figure eaten(String prefix, Band topsKgHa, double takePercent) {
        return EATEN.figure(prefix + "/eaten", "Dry tops eaten", Unit.KG_PER_HA, tops(topsKgHa), take(takePercent));
    }

    public static Figure left(String prefix, Band topsKgHa, double takePercent) {
        return LEFT.figure(prefix + "/left", "Dry tops left", Unit.KG_PER_HA, tops(topsKgHa), take(takePercent));
    }

    /** What stands after stock ate for days and the stand grew meanwhile. */
    public static Figure leftAfter(String prefix, Band topsKgHa) {
        return AFTER.figure(
                prefix + "/left",
                "Dry tops left after the last day",
                Unit.KG_PER_HA,
                Input.banded("tops", "Dry tops then", topsKgHa, Unit.KG_PER_HA, Origin.FORECAST, "simulation"));
    }

    /** The most that may be eaten where stock are to leave at a height; 0 where the stand is not taller. */
    public static double mostPercent(double heightCm, double residualCm) {
        return heightCm <= residualCm ? 0 : 100 * (1 - residualCm / heightCm);
    }

    public static Figure heightLeft(String prefix, Band heightCm, double takePercent) {
        return HEIGHT.figure(
                prefix + "/heightLeft",
                "Height left",
                Unit.CENTIMETRE,
                Input.banded(
                        "height", "Height of the tallest", heightCm, Unit.CENTIMETRE, Origin.FORECAST, "simulation"),
                take(takePercent));
    }
}
