package app.etlo.core.ground;

/**
 * Seed comes up when its clock of soil warmth, which stands still while the seed zone is dry, has run out. Seed on the
 * surface feels the top layer alone, drilled seed the more of the one below the deeper it lies; sets from a nursery are up at once. A seedling starts with the leaf area that its seed can
 * make; the nitrogen of the seed is booked as coming in.
 */
final class Emergence {
    /** Seed so deep, and deeper, draws on the layer below for the most part. */
    private static final double ALL_FROM_BELOW_CM = 8;

    private static final double MOST_FROM_BELOW = 0.3;
    private static final double DRY = 0.05;
    private static final double MOIST = 0.25;
    private static final double SEEDLING_NITROGEN = 0.045;
    private static final double SEEDLING_LEAF_SHARE = 1.3;
    private static final double FIRST_ROOT_M = 0.05;

    private Emergence() {}

    static void pass(GroundState s) {
        double top = Math.max(0, s.relativeWater(0));
        double below = Math.max(0, s.relativeWater(1));
        for (int i = 0; i < s.liveCount; i++) {
            int p = s.live[i];
            if (s.status[p] == GroundState.IN_SEEDBED) {
                GroundPlant plant = s.plant[p];
                double ofTop = s.depthCm[p] == 0 ? 1 : Math.max(MOST_FROM_BELOW, 1 - s.depthCm[p] / ALL_FROM_BELOW_CM);
                s.seedClock[p] +=
                        Math.max(0, s.soilC - plant.kind.emergenceBaseC()) * moist(ofTop * top + (1 - ofTop) * below);
                if (plant.transplanted || s.seedClock[p] >= plant.tteEmergence) {
                    comeUp(s, p, plant);
                }
            }
        }
    }

    private static double moist(double relative) {
        return Math.max(0, Math.min(1, (relative - DRY) / MOIST));
    }

    private static void comeUp(GroundState s, int p, GroundPlant plant) {
        s.status[p] = GroundState.UP;
        s.leafArea[p] = s.plantsM2[p] * plant.seedlingLeafM2;
        s.mass[p] = s.leafArea[p] / (SEEDLING_LEAF_SHARE * plant.kind.specificLeafAreaM2G());
        s.nitrogen[p] = SEEDLING_NITROGEN * s.mass[p];
        s.books.seedN += s.nitrogen[p];
        s.root[p] = FIRST_ROOT_M;
    }
}
