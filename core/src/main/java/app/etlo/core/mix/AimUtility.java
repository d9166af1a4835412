package app.etlo.core.mix;

/**
 * What so much of an aim is worth: the first half of the most that one species alone gives counts more than twice as much as the
 * second. So a mix that serves several aims half is worth more than one that serves a single aim whole, which is why mixes are sown.
 * Etlo's own; concave, in two pieces, so that a linear programme can hold it.
 */
final class AimUtility {
    static final double HALF = 0.5;
    static final double FIRST = 1.4;
    static final double SECOND = 0.6;

    private AimUtility() {}

    /**
     * @param share of the most that one species alone gives; below 0 where an aim is hurt
     * @return 1 at 1
     */
    static double of(double share) {
        return share <= HALF ? FIRST * share : FIRST * HALF + SECOND * (share - HALF);
    }
}
