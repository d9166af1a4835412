package app.etlo.core.weather;

import java.util.stream.IntStream;

/**
 * The parts of a whole over weather years, so that they add up: the whole is the middle of its years, each part has the middle of its
 * shares in all years, scaled so that they sum to one. Middles of the parts by themselves would not.
 */
public final class MiddleParts {
    private MiddleParts() {}

    /** The whole of each year. */
    public static double[] whole(double[][] parts) {
        double[] whole = new double[parts.length == 0 ? 0 : parts[0].length];
        for (double[] part : parts) {
            for (int y = 0; y < whole.length; y++) {
                whole[y] += part[y];
            }
        }
        return whole;
    }

    /** The share of each part, 0 to 1, summing to 1; all 0 where there is nothing in any year. */
    public static double[] shares(double[][] parts) {
        double[] whole = whole(parts);
        double[] middle = new double[parts.length];
        double sum = 0;
        for (int i = 0; i < middle.length; i++) {
            middle[i] = ratio(parts[i], whole);
            sum += middle[i];
        }
        for (int i = 0; i < middle.length && sum > 0; i++) {
            middle[i] /= sum;
        }
        return middle;
    }

    /** The middle of a ratio, of the years in which there is something to divide by; 0 where there is none. */
    public static double ratio(double[] of, double[] over) {
        double[] ratios = IntStream.range(0, over.length)
                .filter(y -> over[y] > 0)
                .mapToDouble(y -> of[y] / over[y])
                .toArray();
        return ratios.length == 0 ? 0 : Percentiles.of(ratios).at(0.5);
    }

    /** The parts themselves: their shares of the whole's middle. */
    public static double[] of(double[][] parts) {
        double[] shares = shares(parts);
        double[] whole = whole(parts);
        double middle = whole.length == 0 ? 0 : Percentiles.of(whole).at(0.5);
        for (int i = 0; i < shares.length; i++) {
            shares[i] *= middle;
        }
        return shares;
    }
}
