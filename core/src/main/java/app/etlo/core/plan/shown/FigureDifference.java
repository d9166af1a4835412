package app.etlo.core.plan.shown;

import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.working.Figure;

/** By how much a figure differs from another of the same kind, as it is read. */
public final class FigureDifference {
    private FigureDifference() {}

    /**
     * Signed, in the shown unit and without it; "the same" where both are written alike.
     *
     * @param to of the same unit as {@code from}
     */
    public static String of(Figure from, Figure to, UnitSystem units) {
        Unit shown = units.shown(from.unit());
        double a = from.unit().to(shown, from.middle());
        double b = to.unit().to(shown, to.middle());
        if (Shown.text(a, shown).equals(Shown.text(b, shown))) {
            return "the same";
        }
        return (b > a ? "+" : "\u2212") + Shown.text(Math.abs(b - a), shown);
    }
}
