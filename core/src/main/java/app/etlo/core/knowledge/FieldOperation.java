package app.etlo.core.knowledge;

import app.etlo.core.working.Source;

/**
 * A field operation with what it does to the ground.
 *
 * @param use sow, plant, strip, till, press, end, feed or harvest
 * @param speedMph usual speed, miles per hour
 * @param depthIn usual depth, inches
 * @param shareDisturbed share of the surface it disturbs, 0 to 1
 * @param residueKept share of flat residue that stays on the surface of the whole ground, 0 to 1 (from memory of USDA SCS and the
 *     Equipment Manufacturers Institute 1992; Etlo's own where the leaflet has none)
 * @param residueKeptFragile the same of residue that breaks up fast
 * @param flattens share of standing residue laid flat, 0 to 1; Etlo's own
 */
public record FieldOperation(
        String id,
        String name,
        String use,
        DisturbanceType type,
        double speedMph,
        double depthIn,
        double shareDisturbed,
        double residueKept,
        double residueKeptFragile,
        double flattens,
        Source source) {
    private static final double CM_PER_IN = 2.54;

    public double depthCm() {
        return depthIn * CM_PER_IN;
    }
}
