package app.etlo.core.ground;

/**
 * Height is what mass can carry and stage allows; vines climb as high as what stands beside them. Roots go down by degree days of
 * the soil to the plant's limit or the ground's.
 */
final class HeightAndRoots {
    private HeightAndRoots() {}

    static void pass(GroundState s) {
        double tallest = 0;
        for (int i = 0; i < s.liveCount; i++) {
            int p = s.live[i];
            if (s.plant[p].vineM == 0) {
                rise(s, p);
                tallest = Math.max(tallest, s.height[p]);
            }
        }
        for (int i = 0; i < s.liveCount; i++) {
            int p = s.live[i];
            GroundPlant plant = s.plant[p];
            if (s.status[p] == GroundState.UP) {
                if (plant.vineM > 0) {
                    double prop = Math.min(plant.vineM, Math.max(plant.heightM, tallest));
                    s.height[p] = Math.max(s.height[p], Math.min(prop, 0.05 + 0.03 * s.mass[p]));
                }
                double felt = plant.kind.warm() ? s.soilC - 4 : s.soilC;
                s.root[p] = Math.min(
                        Math.min(plant.rootM, s.soil.rootingM),
                        s.root[p] + plant.kind.rootMmPerDd() / 1000 * Math.max(0, felt));
            }
        }
    }

    private static void rise(GroundState s, int p) {
        if (s.status[p] != GroundState.UP) {
            return;
        }
        GroundPlant plant = s.plant[p];
        double rosette = Math.min(plant.kind.rosetteM(), plant.heightM);
        double byStage = rosette + (plant.heightM - rosette) * Math.max(0, Math.min(1, (s.stage[p] - 0.28) / 0.6));
        s.height[p] = Math.max(s.height[p], Math.min(plant.heightOfMass(s.mass[p]), byStage));
    }
}
