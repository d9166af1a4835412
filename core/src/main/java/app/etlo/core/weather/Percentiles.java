package app.etlo.core.weather;

import java.util.Arrays;

/**
 * Percentiles of a few years, between ordered values at (n - 1) p (type 7 of Hyndman and Fan 1996, The American Statistician
 * 50:361; from memory). Infinite values stand for years in which a thing never came.
 */
public final class Percentiles {
    private final double[] sorted;

    private Percentiles(double[] sorted) {
        this.sorted = sorted;
    }

    /**
     * @throws IllegalArgumentException without values
     */
    public static Percentiles of(double... values) {
        if (values.length == 0) {
            throw new IllegalArgumentException("no years to take percentiles of");
        }
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return new Percentiles(sorted);
    }

    /**
     * The value below which a share of the years lies; infinite when that share is reached only by years without the thing.
     *
     * @param share 0 to 1
     */
    public double at(double share) {
        double place = (sorted.length - 1) * share;
        int low = (int) Math.floor(place);
        int high = (int) Math.ceil(place);
        double part = place - low;
        if (part == 0 || sorted[low] == sorted[high]) {
            return sorted[low];
        }
        return sorted[low] + (sorted[high] - sorted[low]) * part;
    }

    /** How many of the values are finite. */
    public int finite() {
        return (int) Arrays.stream(sorted).filter(Double::isFinite).count();
    }

    public int count() {
        return sorted.length;
    }
}
