package app.etlo.core.ground;

/**
 * New dry mass of a day: light taken, times the use of it, times warmth, times the lesser of water and nitrogen (Monteith 1977 and
 * the reviews that follow; from memory). Before stems a part goes below ground; after bloom growth runs out. A night of frost
 * slows cool-season plants.
 */
final class DryMatter {
    private static final double STEMS = 0.45;
    /** Share of new mass above ground of a perennial that has wintered; common practice, 60 to 75 %. */
    private static final double FROM_ROOTS = 0.68;

    private DryMatter() {}

    static void pass(GroundState s) {
        for (int i = 0; i < s.liveCount; i++) {
            int p = s.live[i];
            s.gain[p] = 0;
            s.nourished[p] = 1;
            if (s.status[p] == GroundState.UP && s.light[p] > 0) {
                GroundPlant plant = s.plant[p];
                s.nourished[p] = nourished(plant, s.mass[p], s.nitrogen[p]);
                double warmth = plant.warmth(s.dayC);
                if (s.tminC < 0 && plant.baseC < 5) {
                    warmth *= Math.max(0, 1 + s.tminC / 6);
                }
                s.gain[p] = s.vigour[p]
                        * plant.rue
                        * s.parMj
                        * s.light[p]
                        * warmth
                        * Math.min(s.watered[p], s.nourished[p])
                        * topsShare(s, p)
                        * late(s.stage[p]);
                s.lightMj[p] += s.parMj * s.light[p];
                s.gained[p] += s.gain[p];
            }
        }
    }

    /**
     * What nitrogen lets it grow, 0.02 to 1: from the critical content down to the least it can have. Shortage counts with the power
     * 1.75, between the line of some published models (growth in step with the nitrogen index) and a parabola; tuned.
     */
    static double nourished(GroundPlant plant, double mass, double nitrogen) {
        if (mass <= 0) {
            return 1;
        }
        double percent = 100 * nitrogen / mass;
        double short1 = Math.max(0, 1 - percent / plant.criticalPercent(mass));
        double byIndex = 1 - short1 * Math.sqrt(short1 * Math.sqrt(short1));
        double byLeast = (percent / plant.kind.nitrogenLeastPercent() - 1) / 0.25;
        return Math.max(0.02, Math.min(1, Math.min(byIndex, byLeast)));
    }

    /** A perennial fills its roots first; after a winter they feed its tops. */
    static double topsShare(GroundState s, int p) {
        double early = s.plant[p].kind.topsShareEarly();
        if (early < 0.5) {
            return s.winters[p] > 0 ? FROM_ROOTS : early;
        }
        return early + (1 - early) * Math.min(1, s.stage[p] / STEMS);
    }

    private static double late(double stage) {
        return stage <= 1 ? 1 : Math.max(0, 1 - (stage - 1) / 0.45);
    }
}
