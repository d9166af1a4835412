package app.etlo.core.ground;

/**
 * Leaves have a law of their own: while the stand is small they double by degree days whatever the light, then they are what carbon
 * allows (Goudriaan and van Laar 1994; from memory). Shade and age take them; most of a fallen leaf's mass becomes residue, part
 * of its nitrogen stays in the plant until it blooms.
 */
final class LeafArea {
    private static final double SINK_LIMITED = 0.5;
    private static final double CARBON_LIMITED = 1.5;
    private static final double FALLEN_NITROGEN = 0.6;

    private LeafArea() {}

    static void pass(GroundState s) {
        double all = s.leafAreaOfAll();
        for (int i = 0; i < s.liveCount; i++) {
            int p = s.live[i];
            if (s.status[p] == GroundState.UP) {
                s.mass[p] += s.gain[p];
                if (s.mass[p] > s.peakMass[p]) {
                    s.peakMass[p] = s.mass[p];
                    s.peakNitrogen[p] = s.nitrogen[p];
                }
                GroundPlant plant = s.plant[p];
                double dd = Math.max(0, s.meanC - plant.baseC);
                grow(s, p, plant, dd);
                double fading = dd * (0.0009 * Math.max(0, all / 5 - 0.6) + 0.0048 * Math.max(0, s.stage[p] - 0.95));
                if (fading > 0) {
                    shed(s, p, Math.min(0.5, fading) * s.leafArea[p]);
                }
            }
        }
    }

    private static void grow(GroundState s, int p, GroundPlant plant, double dd) {
        double x = plant.kind.leafGrowthPerDd() * dd;
        double sink = s.leafArea[p] * x * (1 + x / 2 * (1 + x / 3));
        double carbon = s.gain[p] / DryMatter.topsShare(s, p);
        double source = plant.kind.specificLeafAreaM2G()
                * plant.kind.leafShare()
                * Math.max(0, Math.min(1, 1 - (s.stage[p] - 0.25) / 0.7))
                * carbon
                * (plant.legume ? 1 : s.nourished[p]);
        double area = s.leafArea[p];
        // falls between the two limits without a step, so that a fuller stand is never overtaken by a thinner one
        double eager = 1.35 - 0.35 * Math.max(0, Math.min(1, area - SINK_LIMITED));
        s.leafArea[p] += area < CARBON_LIMITED ? Math.min(eager * source, sink) : source;
    }

    /** Takes leaf area off; what falls of it becomes residue on the surface. */
    static void shed(GroundState s, int p, double area) {
        double mass = s.mass[p];
        double falls = Math.min(0.5 * mass, s.plant[p].fallenLeaf * area / s.plant[p].kind.specificLeafAreaM2G());
        if (mass <= 0 || falls <= 0) {
            return;
        }
        double withIt = s.stage[p] >= 1 && !s.plant[p].legume ? 1 : FALLEN_NITROGEN;
        double nitrogen = withIt * s.nitrogen[p] * falls / mass;
        s.leafArea[p] = Math.max(0, s.leafArea[p] - area);
        s.mass[p] -= falls;
        s.nitrogen[p] -= nitrogen;
        s.surface.add(falls, nitrogen, s.plant[p].coverM2G, s.plant[p].fragile);
    }
}
