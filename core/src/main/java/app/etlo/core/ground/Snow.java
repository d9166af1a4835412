package app.etlo.core.ground;

/**
 * Rain and snow. Snow lies when the mean of the day is at or below 0 °C and melts by 3 mm for each degree above it (degree-day
 * method). Where its depth was measured that is what shelters, darkens and stops work; the water of the soil goes by the rule.
 */
final class Snow {
    private static final double MELT_MM_PER_DEGREE = 3;
    /** Nitrogen that rain, snow and dust bring, g/m2 a mm: some 7 kg/ha in a year of 900 mm (monitoring networks; from memory). */
    private static final double RAIN_NITROGEN_G_MM = 0.0008;

    /** Settled snow of a fifth of the weight of water. */
    static final double MM_PER_CM = 2;

    /** Under so much, as water, no light comes through. */
    static final double DARK_MM = 8;

    private Snow() {}

    /** Water that reaches the ground on the day, mm. */
    static double pass(GroundState s) {
        s.books.rainMm += s.rainMm;
        s.nitrate[0] += RAIN_NITROGEN_G_MM * s.rainMm;
        s.books.rainN += RAIN_NITROGEN_G_MM * s.rainMm;
        s.books.irrigationMm += s.irrigationMm;
        if (s.meanC <= 0) {
            s.snowMm += s.rainMm;
            return s.irrigationMm;
        }
        double melt = Math.min(s.snowMm, MELT_MM_PER_DEGREE * s.meanC);
        s.snowMm -= melt;
        return s.rainMm + melt + s.irrigationMm;
    }
}
