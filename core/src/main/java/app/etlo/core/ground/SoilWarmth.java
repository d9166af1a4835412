package app.etlo.core.ground;

/**
 * Temperature of the soil at 5 to 10 cm: it follows the air with a lag, slower under leaves and residue while warming, hardly
 * under snow (after Zheng, Hunt and Running 1993; from memory).
 */
final class SoilWarmth {
    private static final double RATE = 0.17;
    private static final double RATE_UNDER_SNOW = 0.03;
    private static final double SNOW_MM = 5;
    /** Weight of a day in the air of the last days: some five of them. */
    private static final double RECENT = 1.0 / 3;

    private SoilWarmth() {}

    static void pass(GroundState s) {
        double rate = s.lyingSnowMm() >= SNOW_MM ? RATE_UNDER_SNOW : RATE;
        double apart = s.meanC - s.soilC;
        if (apart > 0) {
            double cover = 0.4 * s.leafAreaOfAll() + 0.0015 * (s.surface.massGM2() + s.standing.massGM2());
            apart *= 0.35 + 0.65 * Math.exp(-cover);
        }
        s.soilC += rate * apart;
        s.recentAirC += RECENT * (s.meanC - s.recentAirC);
    }
}
