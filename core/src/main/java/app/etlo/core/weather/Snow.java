package app.etlo.core.weather;

/**
 * Snow on the ground where it is not measured: what falls at a mean below 0 °C stays, and thaws by 3 mm of water for each
 * degree of a day's mean above 0 (degree-day melt; common practice, the factor from memory). A millimetre of water lies half
 * a centimetre deep.
 */
final class Snow {
    private static final double MELT_MM_PER_C = 3;
    private static final double CM_PER_MM = 0.5;

    private Snow() {}

    /** Depth of snow each day, cm: measured where it is, else by the rule. */
    static double[] depthCm(WeatherSeries weather) {
        double[] depth = new double[weather.days()];
        double water = 0;
        for (int i = 0; i < depth.length; i++) {
            if (weather.isKnown(i)) {
                double mean = weather.meanC(i);
                water = mean < 0 ? water + weather.rainMm(i) : Math.max(0, water - MELT_MM_PER_C * mean);
            }
            double measured = weather.snowCm(i);
            depth[i] = Double.isNaN(measured) ? water * CM_PER_MM : measured;
        }
        return depth;
    }
}
