package app.etlo.core.plan.document;

import app.etlo.core.weather.WeatherSeries;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;

/**
 * An imported weather series as it is stored and exported: columns of tenths, one entry a day from the first; what is not known
 * is null.
 *
 * @param latitude degrees north
 * @param tmin tenths of a degree Celsius
 * @param tmax tenths of a degree Celsius
 * @param rain tenths of a millimetre
 * @param solar tenths of MJ/m2, where measured
 * @param snow tenths of a centimetre, where measured
 * @param filled places of the days that were filled in
 */
public record WeatherEntry(
        String id,
        String name,
        double latitude,
        Optional<Double> elevationM,
        Optional<Boolean> coastal,
        LocalDate first,
        List<Integer> tmin,
        List<Integer> tmax,
        List<Integer> rain,
        Optional<List<Integer>> solar,
        Optional<List<Integer>> snow,
        Optional<List<Integer>> filled) {
    private static final double TENTHS = 10;

    /** A series under a name. */
    public static WeatherEntry of(
            String id,
            String name,
            double latitude,
            Optional<Double> elevationM,
            Optional<Boolean> coastal,
            WeatherSeries s) {
        List<Integer> filled = java.util.stream.IntStream.range(0, s.days())
                .filter(s::isFilled)
                .boxed()
                .toList();
        return new WeatherEntry(
                id,
                name,
                latitude,
                elevationM,
                coastal,
                s.first(),
                column(s.days(), s::tminC),
                column(s.days(), s::tmaxC),
                column(s.days(), s::rainMm),
                s.hasSolar() ? Optional.of(column(s.days(), s::solarMj)) : Optional.empty(),
                s.hasSnow() ? Optional.of(column(s.days(), s::snowCm)) : Optional.empty(),
                filled.isEmpty() ? Optional.empty() : Optional.of(filled));
    }

    private static List<Integer> column(int days, java.util.function.IntToDoubleFunction value) {
        Integer[] column = new Integer[days];
        for (int i = 0; i < days; i++) {
            double v = value.applyAsDouble(i);
            column[i] = Double.isNaN(v) ? null : Integer.valueOf((int) Math.round(v * TENTHS));
        }
        return java.util.Arrays.asList(column);
    }

    /** The series. */
    public WeatherSeries series() {
        BitSet marks = new BitSet();
        filled.ifPresent(f -> f.forEach(marks::set));
        return new WeatherSeries(
                first,
                values(tmin),
                values(tmax),
                values(rain),
                solar.map(WeatherEntry::values).orElse(new double[0]),
                snow.map(WeatherEntry::values).orElse(new double[0]),
                marks);
    }

    private static double[] values(List<Integer> column) {
        return column.stream()
                .mapToDouble(v -> v == null ? Double.NaN : v / TENTHS)
                .toArray();
    }
}
