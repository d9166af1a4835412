package app.etlo.core.ground;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;

/**
 * A forecast brought nearer to what was seen on its day, each by the inverse of its variance (the usual weighing of two independent
 * estimates). Few samples never move it far.
 */
public final class WeighedForecast {
    /** With fewer cuts than this the forecast moves by three tenths at most (common practice: field means need several). */
    public static final int ENOUGH_SAMPLES = 4;

    private static final double FEW_MOVE = 0.3;
    private static final double MANY_MOVE = 0.9;

    private static final Formula FACTOR = Formula.of(
            "Forecast after a field check",
            "max(1 - most, min(1 + most, 1 + sf * sf / (sf * sf + so * so) * (seen / forecast - 1)))",
            Source.identity("two independent estimates, each weighed by the inverse of its variance"),
            "most",
            "sf",
            "so",
            "seen",
            "forecast");

    private WeighedForecast() {}

    /**
     * The factor on the forecast, about 1.
     *
     * @param forecast on the day, above 0
     * @param forecastSd one standard deviation of it, above 0
     * @param seen on the same day in the same unit
     * @param seenSd one standard deviation of it, above 0
     * @param samples it rests on
     */
    public static Figure factor(
            String id,
            String what,
            Unit unit,
            double forecast,
            double forecastSd,
            double seen,
            double seenSd,
            int samples) {
        return FACTOR.figure(
                id,
                "Factor of the field check on " + what,
                Unit.FRACTION,
                Input.of(
                        "most",
                        samples < ENOUGH_SAMPLES ? "Most it may move, by few samples" : "Most it may move",
                        samples < ENOUGH_SAMPLES ? FEW_MOVE : MANY_MOVE,
                        Unit.FRACTION,
                        Origin.LIBRARY,
                        "common practice"),
                Input.of("sf", "Error of the forecast", forecastSd, unit, Origin.FORECAST, "model error"),
                Input.of("so", "Error of what was seen", seenSd, unit, Origin.MEASURED, "field check"),
                Input.of("seen", "Seen", seen, unit, Origin.MEASURED, "field check"),
                Input.of("forecast", "Forecast of that day", forecast, unit, Origin.FORECAST, "simulation"));
    }

    /** What is left of the forecast's error after the check, in the same unit. */
    public static double errorAfter(double forecastSd, double seenSd) {
        return Math.sqrt(1 / (1 / (forecastSd * forecastSd) + 1 / (seenSd * seenSd)));
    }
}
