package app.etlo.core.ground;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;

/**
 * A forecast brought nearer to what was seen on its day, each by the inverse of its variance (the usual weighing of two independent
 * estimates), as logarithms, since both err by a share of themselves. Few samples never move it far; four or more that lie outside what
 * the forecast thinks possible are believed whole.
 */
public final class WeighedForecast {
    /** With fewer cuts than this the forecast moves by three tenths at most (common practice: field means need several). */
    public static final int ENOUGH_SAMPLES = 4;

    private static final double FEW_MOVE = 0.3;
    private static final Source WEIGHED =
            Source.identity("two independent estimates as logarithms, each weighed by the inverse of its variance");

    private static final Formula FACTOR = Formula.of(
            "Forecast after a field check",
            "(seen / forecast) ^ (sf * sf / (sf * sf + so * so))",
            WEIGHED,
            "sf",
            "so",
            "seen",
            "forecast");
    private static final Formula BY_FEW = Formula.of(
            "Forecast after a field check",
            "max(1 - most, min(1 + most, (seen / forecast) ^ (sf * sf / (sf * sf + so * so))))",
            WEIGHED,
            "most",
            "sf",
            "so",
            "seen",
            "forecast");
    private static final Formula WHOLE = Formula.of(
            "Forecast after a field check",
            "seen / forecast",
            Source.own("four or more samples outside the band of the forecast are believed whole"),
            "seen",
            "forecast");

    private WeighedForecast() {}

    /**
     * The forecast of a day, its errors and what was seen then, all in one unit and above 0.
     *
     * @param forecastSd one standard deviation of the forecast
     * @param seenSd one standard deviation of what was seen
     * @param samples it rests on
     * @param outside whether it lies outside the band of the forecast
     */
    public record Seen(double forecast, double forecastSd, double seen, double seenSd, int samples, boolean outside) {
        private boolean isBelieved() {
            return outside && samples >= ENOUGH_SAMPLES;
        }

        /** What is left of the error after it, one standard deviation as a share of the corrected forecast. */
        public double errorAfter() {
            double sf = forecastSd / forecast;
            double so = seenSd / seen;
            return isBelieved() ? so : Math.sqrt(1 / (1 / (sf * sf) + 1 / (so * so)));
        }
    }

    /** The factor on the forecast, above 0. */
    public static Figure factor(String id, String what, Unit unit, Seen s) {
        Input seen = Input.of("seen", "Seen", s.seen(), unit, Origin.MEASURED, "field check");
        Input forecast =
                Input.of("forecast", "Forecast of that day", s.forecast(), unit, Origin.FORECAST, "simulation");
        String label = "Factor of the field check on " + what;
        if (s.isBelieved()) {
            return WHOLE.figure(id, label, Unit.FRACTION, seen, forecast);
        }
        Input sf = Input.of(
                "sf",
                "Error of the forecast, as a share",
                s.forecastSd() / s.forecast(),
                Unit.FRACTION,
                Origin.FORECAST,
                "model error");
        Input so = Input.of(
                "so",
                "Error of what was seen, as a share",
                s.seenSd() / s.seen(),
                Unit.FRACTION,
                Origin.MEASURED,
                "field check");
        return s.samples() < ENOUGH_SAMPLES
                ? BY_FEW.figure(
                        id,
                        label,
                        Unit.FRACTION,
                        Input.of(
                                "most",
                                "Most it may move, by few samples",
                                FEW_MOVE,
                                Unit.FRACTION,
                                Origin.LIBRARY,
                                "common practice"),
                        sf,
                        so,
                        seen,
                        forecast)
                : FACTOR.figure(id, label, Unit.FRACTION, sf, so, seen, forecast);
    }
}
