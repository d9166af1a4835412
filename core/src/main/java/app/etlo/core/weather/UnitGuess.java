package app.etlo.core.weather;

import app.etlo.core.weather.Reading.Rain;
import app.etlo.core.weather.Reading.Temperature;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Weighs in which units a file's numbers are weather of its latitude. The limits are Etlo's own: wide enough for any farmed
 * place on earth.
 */
final class UnitGuess {
    /** Above this no day's 99th percentile of the highest temperature lies, below the other no 90th. */
    private static final double HOTTEST_C = 50;

    private static final double COOLEST_SUMMER_C = 12;
    private static final double COLDEST_C = -55;
    /** How far a year's mean may lie from what the latitude lets expect. */
    private static final double FROM_LATITUDE_C = 16;

    private static final double LEAST_YEAR_MM = 90;
    private static final double MOST_YEAR_MM = 5000;

    private UnitGuess() {}

    /** What was taken, whether it can be, and what else it could be. */
    record Guess<T>(T taken, boolean sound, List<T> sounder) {}

    static Guess<Temperature> temperature(
            double[] tmin, double[] tmax, Optional<Double> latitude, Optional<Temperature> said) {
        List<Temperature> sound = Arrays.stream(Temperature.values())
                .filter(t -> fits(t, tmin, tmax, latitude))
                .toList();
        Temperature taken = said.orElse(sound.isEmpty() ? Temperature.CELSIUS : sound.get(0));
        boolean alone = sound.contains(taken) && (said.isPresent() || sound.size() == 1);
        return new Guess<>(taken, alone, sound.stream().filter(t -> t != taken).toList());
    }

    private static boolean fits(Temperature t, double[] tmin, double[] tmax, Optional<Double> latitude) {
        double[] high = known(tmax, t);
        double[] low = known(tmin, t);
        if (high.length == 0 || low.length == 0) {
            return true;
        }
        Percentiles highs = Percentiles.of(high);
        double mean = (Arrays.stream(high).average().orElse(0)
                        + Arrays.stream(low).average().orElse(0))
                / 2;
        boolean wholeYear = high.length >= 300;
        boolean span = highs.at(0.99) <= HOTTEST_C && Percentiles.of(low).at(0.01) >= COLDEST_C;
        boolean summer = !wholeYear || highs.at(0.9) >= COOLEST_SUMMER_C;
        boolean expected = !wholeYear
                || latitude.map(l -> Math.abs(mean - usualMeanC(l)) <= FROM_LATITUDE_C)
                        .orElse(true);
        return span && summer && expected;
    }

    /** Mean temperature of a year near the sea's level at a latitude, roughly: 27 °C at the line, -20 °C at the poles. */
    static double usualMeanC(double latitude) {
        double s = Math.sin(Math.toRadians(latitude));
        return 27 - 47 * s * s;
    }

    private static double[] known(double[] values, Temperature t) {
        return Arrays.stream(values)
                .filter(v -> !Double.isNaN(v))
                .map(t::celsius)
                .toArray();
    }

    static Guess<Rain> rain(double[] rain, Optional<Rain> said) {
        List<Rain> sound =
                Arrays.stream(Rain.values()).filter(r -> fits(r, rain)).toList();
        boolean fine = Arrays.stream(rain).anyMatch(v -> Math.abs(v * 10 - Math.rint(v * 10)) > 1e-6);
        boolean whole = Arrays.stream(rain).filter(v -> !Double.isNaN(v)).allMatch(v -> v == Math.rint(v));
        // hundredths mean inches, whole numbers mean tenths
        Rain likely = fine ? Rain.INCH : whole ? Rain.TENTHS : Rain.MILLIMETRE;
        Rain taken = said.orElse(sound.contains(likely) ? likely : sound.isEmpty() ? Rain.MILLIMETRE : sound.get(0));
        boolean alone = sound.contains(taken) && (said.isPresent() || sound.size() == 1 || taken == likely);
        return new Guess<>(taken, alone, sound.stream().filter(r -> r != taken).toList());
    }

    private static boolean fits(Rain r, double[] rain) {
        double[] known = Arrays.stream(rain)
                .filter(v -> !Double.isNaN(v))
                .map(r::millimetres)
                .toArray();
        if (known.length < 300) {
            return true;
        }
        double year = Arrays.stream(known).sum() / known.length * 365.25;
        return year >= LEAST_YEAR_MM && year <= MOST_YEAR_MM;
    }

    static String words(Temperature taken, double[] tmax) {
        double[] high = known(tmax, taken);
        return high.length == 0
                ? ""
                : String.format(
                        Locale.ROOT,
                        "Read in %s the warmest days reach %.0f °C.",
                        taken.words(),
                        Percentiles.of(high).at(0.99));
    }
}
