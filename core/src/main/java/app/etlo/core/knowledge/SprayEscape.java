package app.etlo.core.knowledge;

/**
 * How many times as many plants as usual escape a spray. Small plants that grow are killed most surely; tall ones shade one another, and
 * what is cold takes up little and moves less. That they escape is common practice; how much is Etlo's own round figure.
 */
public final class SprayEscape {
    /** Up to so high plants are wetted whole, m. */
    private static final double LOW_M = 0.4;
    /** From so high on it gets no worse: by then most species have headed. */
    private static final double TALL_M = 1.2;

    private static final double OF_TALL = 1.5;
    /** A plant takes a herbicide up and moves it above about 12 °C by day and 5 °C by night, for days (common practice). */
    private static final double WARM_C = 8.5;

    private static final double COLD_C = 2;
    private static final double OF_COLD = 3;

    private SprayEscape() {}

    /**
     * Times as many as of low plants on warm days, 1 to 4.5.
     *
     * @param heightM of the plants
     * @param airC mean of the last days
     */
    public static double times(double heightM, double airC) {
        return (1 + (OF_TALL - 1) * between((heightM - LOW_M) / (TALL_M - LOW_M)))
                * (1 + (OF_COLD - 1) * between((WARM_C - airC) / (WARM_C - COLD_C)));
    }

    private static double between(double v) {
        return Math.max(0, Math.min(1, v));
    }
}
