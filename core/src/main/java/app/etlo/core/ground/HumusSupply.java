package app.etlo.core.ground;

/** Nitrogen that soil organic matter frees into the top 30 cm, by warmth and moisture; rate tuned to usual seasons. */
final class HumusSupply {
    private static final double RATE_G_M2 = 0.0185;
    private static final double PER_DEGREE = 0.081;
    private static final double TOP_SHARE = 0.4;

    private HumusSupply() {}

    static void pass(GroundState s) {
        double freed = RATE_G_M2
                * s.soil.humusFactor
                * s.soil.organicPercent
                * warmth(s.soilC)
                * moisture(s.relativeWaterTop());
        s.nitrate[0] += freed * TOP_SHARE;
        s.nitrate[1] += freed * (1 - TOP_SHARE);
        s.books.mineralisedN += freed;
    }

    /** 1 at 20 °C; none in frozen soil. */
    static double warmth(double soilC) {
        return soilC <= 0 ? 0 : Math.exp(PER_DEGREE * (Math.min(soilC, 35) - 20));
    }

    static double moisture(double relative) {
        return Math.max(0, Math.min(1, 0.1 + 1.2 * relative));
    }
}
