package app.etlo.core.knowledge;

/**
 * How far the plants of a stand are apart in stage: the share of them that rolling, mowing and the like kill as they kill flowering
 * plants. The latest tillers decide, so it is a share and not a day.
 */
public final class StageSpread {
    /** Scale of the logistic curve, in stages: 8 plants of 10 lie within about eight spring days. Etlo's own. */
    private static final double SCALE = 0.035;
    /**
     * At the start of anthesis a roller kills about 85 % of cereal rye (Mirsky et al. 2009, Agronomy Journal 101:1589, from memory): half
     * of the plants are far enough shortly before.
     */
    public static final double OF_OTHERS = 0.935;
    /** A legume must stand in full bloom (Mischler et al. 2010, Agronomy Journal 102:355, from memory). */
    public static final double OF_LEGUMES = 1.06;

    private StageSpread() {}

    /** The stage at which half of the plants of a species are far enough. */
    public static double half(Species s) {
        return s.group().isLegume() ? OF_LEGUMES : OF_OTHERS;
    }

    /**
     * The share of plants that are far enough, 0 to 1.
     *
     * @param stage of the middle plant: 0 at emergence, 1 at early bloom, 2 ripe
     * @param half the stage at which half of them are
     */
    public static double farEnough(double stage, double half) {
        return 1 / (1 + Math.exp((half - stage) / SCALE));
    }

    /**
     * The stage of the middle plant where so many of them are far enough.
     *
     * @param share above 0 and below 1
     */
    public static double stageAt(double share, double half) {
        return half + SCALE * Math.log(share / (1 - share));
    }
}
