package app.etlo.core.knowledge;

/**
 * What plants that a way of ending leaves alive are like after it.
 *
 * @param grow how fast they grow on, as a share of before
 * @param leaf share of their leaves that still works
 * @param height share of their height at which they stand; for good where nothing is cut
 * @param cut share of their tops that is cut off and lies on the ground
 */
public record Survivors(double grow, double leaf, double height, double cut) {
    public static final Survivors WHOLE = new Survivors(1, 1, 1, 0);

    /** After one way and another. */
    Survivors and(Survivors o) {
        return new Survivors(grow * o.grow, leaf * o.leaf, height * o.height, 1 - (1 - cut) * (1 - o.cut));
    }
}
