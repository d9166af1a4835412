package app.etlo.core.mix;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;

/**
 * The part of the field that a species is sown to: all of it, the zones where rows will stand, or the middles between them.
 *
 * @param share of the sown area, %
 */
public record SownZone(String id, Figure share) {
    public static final String WHOLE = "whole";
    public static final String ROW = "row";
    public static final String MIDDLE = "middle";

    private static final Formula ROW_SHARE = Formula.of(
            "Row zones of the area", "band / row * 100", Source.identity("a band on every row"), "band", "row");
    private static final Formula MIDDLE_SHARE = Formula.of(
            "Middles of the area", "(1 - band / row) * 100", Source.identity("what the bands leave"), "band", "row");
    private static final Formula ALL = Formula.of("Whole area", "all", Source.identity("the whole"), "all");

    public boolean isWhole() {
        return id.equals(WHOLE);
    }

    public static SownZone whole(String prefix) {
        return new SownZone(
                WHOLE,
                ALL.figure(
                        prefix + "/zone/whole",
                        "Whole area",
                        Unit.PERCENT,
                        Input.of("all", "Whole area", 100, Unit.PERCENT, Origin.LIBRARY, "no zones")));
    }

    /**
     * The zones of rows, or the middles.
     *
     * @param bandM width of the row zone
     * @param rowM distance from row to row, not below the band
     */
    public static SownZone of(String prefix, String id, double bandM, double rowM) {
        boolean row = id.equals(ROW);
        return new SownZone(
                id,
                (row ? ROW_SHARE : MIDDLE_SHARE)
                        .figure(
                                prefix + "/zone/" + id,
                                row ? "Row zones" : "Middles",
                                Unit.PERCENT,
                                Input.of("band", "Width of the row zone", bandM, Unit.METRE, Origin.ENTERED, "mix"),
                                Input.of("row", "Row width", rowM, Unit.METRE, Origin.ENTERED, "mix")));
    }
}
