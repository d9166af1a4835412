package app.etlo.core.knowledge;

/**
 * What a way of ending kills of a species, shares of 0 to 1: by its passes as far as the plants are on, and by what is sprayed as far as
 * it takes. Where both are done the better of them counts.
 *
 * @param leafy by the passes, of plants that are not far enough
 * @param flowering by them, of those that are
 * @param sprayed of low plants on warm days
 * @param half stage at which half of the plants are far enough
 */
public record KillOfSpecies(double leafy, double flowering, double sprayed, double half) {
    public static final KillOfSpecies NONE = whole(0);

    /** The same of every plant. */
    public static KillOfSpecies whole(double share) {
        return new KillOfSpecies(share, share, 0, StageSpread.OF_OTHERS);
    }

    /**
     * On a day.
     *
     * @param stage of the middle plant: 0 at emergence, 1 at early bloom, 2 ripe
     * @param heightM of the plants
     * @param airC mean of the last days
     */
    public double share(double stage, double heightM, double airC) {
        return share(StageSpread.farEnough(stage, half), SprayEscape.times(heightM, airC));
    }

    /**
     * By shares that are known.
     *
     * @param farEnough share of the plants that are far enough
     * @param escapes times as many as usual that escape a spray
     */
    public double share(double farEnough, double escapes) {
        double passed = leafy + (flowering - leafy) * farEnough;
        return sprayed <= 0 ? passed : Math.max(passed, 1 - Math.min(1, (1 - sprayed) * escapes));
    }

    /** The same where so many times as many are left alive. */
    public KillOfSpecies leaving(double times) {
        return new KillOfSpecies(killed(leafy, times), killed(flowering, times), killed(sprayed, times), half);
    }

    private static double killed(double share, double times) {
        return share <= 0 ? share : Math.max(0, 1 - (1 - share) * times);
    }
}
