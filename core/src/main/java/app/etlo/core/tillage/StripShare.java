package app.etlo.core.tillage;

import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.List;

/** How much of the ground the planting of a crop disturbs. */
public final class StripShare {
    private static final Formula STRIP = Formula.of(
            "Ground disturbed by strips",
            "strip / row * 100",
            Source.identity("strip width over row width"),
            "strip",
            "row");
    private static final Formula WIDEST = Formula.of(
                    "Ground disturbed by planting",
                    "share",
                    Source.own("the pass of the planting system that disturbs most; the others run in its track"),
                    "share")
            .remarking("passes made apart from planting are not in it; the rating counts them");

    private StripShare() {}

    /** Strip over row, %; strip must not be wider than the row. */
    public static Figure of(String prefix, Quantity strip, Quantity row) {
        return STRIP.figure(
                prefix + "/stripShare",
                "Ground disturbed by strips",
                Unit.PERCENT,
                Input.of(
                        "strip",
                        "Strip width",
                        strip.in(Unit.CENTIMETRE),
                        Unit.CENTIMETRE,
                        Origin.ENTERED,
                        "plant step"),
                Input.of("row", "Row width", row.in(Unit.CENTIMETRE), Unit.CENTIMETRE, Origin.ENTERED, "plant step"));
    }

    /** The share of ground that the passes of a planting system disturb, %. */
    public static Figure ofPlanting(String prefix, List<Pass> passes) {
        Pass widest = passes.stream()
                .max((a, b) -> Double.compare(a.shareDisturbed(), b.shareDisturbed()))
                .orElseThrow();
        boolean typed = widest.share().isPresent();
        return WIDEST.figure(
                prefix + "/disturbed",
                "Ground disturbed by planting",
                Unit.PERCENT,
                Input.of(
                        "share",
                        widest.operation().name(),
                        widest.shareDisturbed() * 100,
                        Unit.PERCENT,
                        typed ? Origin.ENTERED : Origin.LIBRARY,
                        typed ? "strip over row" : widest.operation().source().text()));
    }
}
