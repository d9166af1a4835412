package app.etlo.core.ground;

import app.etlo.core.quantity.Band;
import app.etlo.core.working.Source;

/**
 * Widens the band of the weather years by the error of the model itself, which weather does not show: one standard deviation of a
 * quarter of the middle for masses and what follows from them, added in quadrature.
 */
public final class ModelError {
    public static final Source SOURCE =
            Source.own("a quarter of the middle, one standard deviation; narrowed by field checks");
    /** Of dry mass and of nitrogen in it, as a share of the middle. */
    public static final double OF_MASS = 0.25;

    /** What the simulation knows of water and of cover, one standard deviation; Etlo's own. */
    public static final double OF_GROUND = 0.15;
    /** Of nitrate in the soil. */
    public static final double OF_NITRATE = 0.35;

    private static final double TENTH = 1.2816;

    private ModelError() {}

    /**
     * @param weather the 10, 50 and 90 % values of the weather years
     * @param deviation one standard deviation of the model's error, as a share of the middle
     */
    public static Band widen(Band weather, double deviation) {
        double own = TENTH * deviation * weather.middle();
        double below = Math.hypot(weather.middle() - weather.low(), own);
        double above = Math.hypot(weather.high() - weather.middle(), own);
        return new Band(Math.max(0, weather.middle() - below), weather.middle(), weather.middle() + above);
    }
}
