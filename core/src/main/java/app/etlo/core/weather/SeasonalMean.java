package app.etlo.core.weather;

/**
 * A smooth course through the year whose mean over each month is the one given: harmonics through the twelve values, each
 * raised by what averaging over a month takes from it.
 */
final class SeasonalMean {
    private static final int HARMONICS = 5;

    private final double mean;
    private final double[] cos = new double[HARMONICS + 1];
    private final double[] sin = new double[HARMONICS + 1];

    /**
     * @param monthly twelve values, January first
     */
    SeasonalMean(double[] monthly) {
        double sum = 0;
        for (double v : monthly) {
            sum += v;
        }
        mean = sum / 12;
        for (int k = 1; k <= HARMONICS; k++) {
            double damping = Math.sin(Math.PI * k / 12) / (Math.PI * k / 12);
            for (int m = 0; m < 12; m++) {
                double angle = 2 * Math.PI * k * (m + 0.5) / 12;
                cos[k] += monthly[m] * Math.cos(angle) / 6 / damping;
                sin[k] += monthly[m] * Math.sin(angle) / 6 / damping;
            }
        }
    }

    /**
     * @param yearShare how much of the year has passed, 0 to 1
     */
    double at(double yearShare) {
        double v = mean;
        for (int k = 1; k <= HARMONICS; k++) {
            double angle = 2 * Math.PI * k * yearShare;
            v += cos[k] * Math.cos(angle) + sin[k] * Math.sin(angle);
        }
        return v;
    }
}
