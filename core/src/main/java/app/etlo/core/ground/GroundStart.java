package app.etlo.core.ground;

/**
 * What lies in and on the ground when a plan begins.
 *
 * @param nitrateKgHa mineral nitrogen to 1.8 m
 * @param residueKgHa dry residue on the surface, with {@code residueNitrogenKgHa} in it
 * @param standingShare share of it that stands
 * @param coverM2G ground that a gram of it covers where it lies
 * @param fragile whether it breaks up fast
 */
public record GroundStart(
        double nitrateKgHa,
        double residueKgHa,
        double residueNitrogenKgHa,
        double standingShare,
        double coverM2G,
        boolean fragile) {
    /** An ordinary stubble of which nothing is known; Etlo's own round value. */
    public static final GroundStart USUAL = new GroundStart(56, 0, 0, 0, 0, false);
}
