package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * Of a value in every weather year the one nearest to the middle: a year that was really simulated, whose parts add up. The band is
 * that of all years.
 */
public final class MiddleYear {
    private MiddleYear() {}

    public static int nearest(double[] years, double value) {
        return IntStream.range(0, years.length)
                .reduce((a, b) -> Math.abs(years[b] - value) < Math.abs(years[a] - value) ? b : a)
                .orElse(0);
    }

    public static Band around(double[] years, double middle) {
        Band b = GroundCourse.band(years);
        return new Band(Math.min(b.low(), middle), middle, Math.max(b.high(), middle));
    }

    public static Input input(String symbol, String label, double value, Unit unit) {
        return Input.of(symbol, label, value, unit, Origin.FORECAST, "the middle one of the weather years");
    }

    public static double[] scaled(double[] years, double factor) {
        return Arrays.stream(years).map(v -> v * factor).toArray();
    }

    public static Band percent(Band b) {
        return new Band(b.low(), b.middle(), Math.max(b.middle(), Math.min(100, b.high())));
    }

    public static Figure banded(Figure f, Band band) {
        return f.banded(band);
    }
}
