package app.etlo.core.weather;

import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;

/**
 * How the warmth of a day counts towards growth, in degree days above a base. Two methods, after McMaster and Wilhelm 1997
 * (Agricultural and Forest Meteorology 87:291; from memory): the day's mean less the base, never below 0; or, for corn, both
 * ends of the day first held between base and ceiling.
 *
 * @param baseC temperature below which nothing is counted
 * @param ceilingC what warmer hours count as; infinite for the first method
 */
public record DegreeDays(double baseC, double ceilingC) {
    /** Cool-season covers, about 40 °F. */
    public static final DegreeDays COOL = above(4);

    public static final DegreeDays WARM = above(10);
    /** Held between 10 and 30 °C, 50 and 86 °F. */
    public static final DegreeDays CORN = new DegreeDays(10, 30);

    public static DegreeDays above(double baseC) {
        return new DegreeDays(baseC, Double.POSITIVE_INFINITY);
    }

    /** Degree days of one day, °C d. */
    public double of(double tminC, double tmaxC) {
        if (Double.isInfinite(ceilingC)) {
            return Math.max(0, (tminC + tmaxC) / 2 - baseC);
        }
        return (held(tminC) + held(tmaxC)) / 2 - baseC;
    }

    private double held(double t) {
        return Math.max(baseC, Math.min(ceilingC, t));
    }

    /** How the method is said in words. */
    public String words() {
        return Double.isInfinite(ceilingC)
                ? "mean less " + Said.of(baseC, Unit.CELSIUS)
                : "both ends held between " + Said.of(baseC, Unit.CELSIUS) + " and " + Said.of(ceilingC, Unit.CELSIUS);
    }
}
