package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import java.util.Collection;

/**
 * How deep seed may lie. The deepest from which a seedling comes up is 27.3 mm times the mass of its seed in mg to the power 0.334 (Bond
 * and others 1999, Oecologia 120:132; from memory); sown at a quarter to a third of it.
 */
public final class SeedDepth {
    private static final double MM = 27.3;
    private static final double POWER = 0.334;
    /** Down to this share of the deepest all come up that would at their own depth; Etlo's own. */
    private static final double SAFE = 0.5;

    private SeedDepth() {}

    /** The deepest from which it comes up, cm. */
    public static double deepestCm(Species s) {
        return MM * Math.pow(s.thousandSeedMassG(), POWER) / 10;
    }

    /** The deepest from which all come up that would at their own depth, cm. */
    public static double safeCm(Species s) {
        return Math.max(SAFE * deepestCm(s), s.depthCm());
    }

    /**
     * The one depth for several species in one pass, cm to a tenth: as deep as the deepest wants, but not below what is safe for any; 0
     * for none.
     */
    public static double oneCm(Collection<Species> together) {
        double wanted = together.stream().mapToDouble(Species::depthCm).max().orElse(0);
        double one = together.stream().mapToDouble(SeedDepth::safeCm).reduce(wanted, Math::min);
        return Math.floor(10 * one + 1e-9) / 10;
    }

    /** Share of what comes up at its own depth that comes up from another, 0 to 1: falling in a line from the safe depth to the deepest. */
    public static double comesUp(Species s, double depthCm) {
        double deepest = deepestCm(s);
        double safe = safeCm(s);
        return depthCm <= safe ? 1 : Math.max(0, (deepest - depthCm) / Math.max(0.1, deepest - safe));
    }
}
