package app.etlo.core.plan.growth;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.List;

/** Ground cover by beads on lines laid over the rows (the line-transect method of extension guides, common practice). */
public final class LineTransect {
    private static final Formula COVER = Formula.of(
            "Cover by line transect",
            "hits / (points * lines) * 100",
            Source.commonPractice("line transect laid at an angle to the rows"),
            "hits",
            "points",
            "lines");

    private LineTransect() {}

    /**
     * The share covered, %, with one standard error each way: of the spread between lines where there are several, else of counting.
     *
     * @param points beads on a line, above 0
     * @param hits line by line, each at most {@code points}
     */
    public static Figure cover(String id, int points, List<Integer> hits) {
        int sum = hits.stream().mapToInt(Integer::intValue).sum();
        Figure f = COVER.figure(
                id,
                "Ground covered, by line transect",
                Unit.PERCENT,
                Input.of("hits", "Beads over a leaf", sum, Unit.FRACTION, Origin.MEASURED, "typed"),
                Input.of("points", "Beads on a line", points, Unit.FRACTION, Origin.MEASURED, "typed"),
                Input.of("lines", "Lines", hits.size(), Unit.FRACTION, Origin.MEASURED, "typed"));
        double error = standardError(points, hits, f.middle());
        Band band = new Band(Math.max(0, f.middle() - error), f.middle(), Math.min(100, f.middle() + error));
        return new Figure(f.id(), f.label(), band, f.unit(), f.origin(), f.working());
    }

    /** In %. Of counting it is 5 points for a line of 100 beads at 50 %, as guides say. */
    public static double standardError(int points, List<Integer> hits, double percent) {
        double counting = Math.sqrt(percent * (100 - percent) / (points * (double) hits.size()));
        if (hits.size() < 2) {
            return counting;
        }
        double squares = hits.stream()
                .mapToDouble(h -> Math.pow(100.0 * h / points - percent, 2))
                .sum();
        double spread = Math.sqrt(squares / (hits.size() - 1) / hits.size());
        return Math.max(spread, counting);
    }
}
