package app.etlo.core.weather;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;

/** Runs of days that are not known, and the filling of the short ones. */
final class Gaps {
    private static final int MOST_TOLD = 200;

    private final WeatherSeries series;
    private final List<int[]> runs = new ArrayList<>();

    Gaps(WeatherSeries series) {
        this.series = series;
        int start = -1;
        for (int i = 0; i <= series.days(); i++) {
            boolean known = i == series.days() || series.isKnown(i);
            if (!known && start < 0) {
                start = i;
            } else if (known && start >= 0) {
                runs.add(new int[] {start, i});
                start = -1;
            }
        }
    }

    List<WeatherReport.Gap> all() {
        return runs.stream()
                .limit(MOST_TOLD)
                .map(r -> new WeatherReport.Gap(
                        series.date(r[0]), series.date(r[1] - 1), r[1] - r[0], fillable(r, WeatherReport.FILLED_DAYS)))
                .toList();
    }

    private boolean fillable(int[] run, int most) {
        return run[1] - run[0] <= most && run[0] > 0 && run[1] < series.days();
    }

    /** Short gaps filled: temperatures along a line between the days beside, no rain; what is known stays. */
    WeatherSeries filled(int mostDays) {
        int n = series.days();
        double[] tmin = column(n, Column.TMIN);
        double[] tmax = column(n, Column.TMAX);
        double[] rain = column(n, Column.RAIN);
        BitSet filled = new BitSet();
        for (int[] run : runs) {
            if (fillable(run, mostDays)) {
                for (int i = run[0]; i < run[1]; i++) {
                    double share = (double) (i - run[0] + 1) / (run[1] - run[0] + 1);
                    tmin[i] = known(tmin[i], between(tmin, run, share));
                    tmax[i] = Math.max(tmin[i], known(tmax[i], between(tmax, run, share)));
                    rain[i] = known(rain[i], 0);
                    filled.set(i);
                }
            }
        }
        LocalDate first = series.first();
        return new WeatherSeries(
                first,
                tmin,
                tmax,
                rain,
                series.hasSolar() ? column(n, Column.SOLAR) : new double[0],
                series.hasSnow() ? column(n, Column.SNOW) : new double[0],
                filled);
    }

    private static double known(double v, double otherwise) {
        return Double.isNaN(v) ? otherwise : v;
    }

    private static double between(double[] column, int[] run, double share) {
        double before = column[run[0] - 1];
        double after = column[run[1]];
        return before + (after - before) * share;
    }

    private enum Column {
        TMIN,
        TMAX,
        RAIN,
        SOLAR,
        SNOW
    }

    private double[] column(int n, Column which) {
        double[] c = new double[n];
        Arrays.setAll(c, i -> switch (which) {
            case TMIN -> series.tminC(i);
            case TMAX -> series.tmaxC(i);
            case RAIN -> series.rainMm(i);
            case SOLAR -> series.solarMj(i);
            case SNOW -> series.snowCm(i);
        });
        return c;
    }
}
