package app.etlo.core.weather;

/**
 * What draws water on a day.
 *
 * @param basalCoefficient water use of what grows, over the reference; about 0.15 for a bare field, 1.15 for a full canopy
 * @param shade share of the ground under leaves, 0 to 1
 * @param mulch share of the ground under residue, 0 to 1
 */
public record WaterUse(double basalCoefficient, double shade, double mulch) {
    /** Short grass or weeds over most of the ground: the surface on which days fit for work are counted. */
    public static final WaterUse GRASS = new WaterUse(0.8, 0.8, 0);

    public static final WaterUse BARE = new WaterUse(0, 0, 0);
}
