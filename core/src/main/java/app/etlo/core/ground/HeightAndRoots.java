package app.etlo.core.ground;

/**
 * Height is what mass can carry and stage allows; vines climb as high as what stands beside them and otherwise lie as high as they carry themselves. Roots go down by degree days of
 * the soil to the plant's limit or the ground's.
 */
final class HeightAndRoots {
    private HeightAndRoots() {}

    static void pass(GroundState s) {
        double tallest = 0;
        for (int i = 0; i < s.liveCount; i++) {
            int p = s.live[i];
            if (s.status[p] == GroundState.UP) {
                rise(s, p);
                if (s.plant[p].vineM == 0) {
                    tallest = Math.max(tallest, s.height[p]);
                }
            }
        }
        for (int i = 0; i < s.liveCount; i++) {
            int p = s.live[i];
            if (s.status[p] == GroundState.UP) {
                climb(s, p, tallest);
                down(s, p);
            }
        }
    }

    /** As far up its companion as it has mass for. */
    private static void climb(GroundState s, int p, double companionM) {
        double vine = s.plant[p].vineM;
        if (vine > 0) {
            s.height[p] = Math.max(s.height[p], Math.min(Math.min(vine, companionM), 0.05 + 0.03 * s.mass[p]));
        }
    }

    private static void down(GroundState s, int p) {
        GroundPlant plant = s.plant[p];
        double felt = plant.kind.warm() ? s.soilC - 4 : s.soilC;
        s.root[p] = Math.min(
                Math.min(plant.rootM, s.soil.rootingM),
                s.root[p] + plant.kind.rootMmPerDd() / 1000 * Math.max(0, felt));
    }

    private static void rise(GroundState s, int p) {
        GroundPlant plant = s.plant[p];
        double rosette = Math.min(plant.kind.rosetteM(), plant.heightM);
        double byStage = rosette + (plant.heightM - rosette) * Math.max(0, Math.min(1, (s.stage[p] - 0.28) / 0.6));
        s.height[p] = Math.max(s.height[p], s.heightFactor[p] * Math.min(plant.heightOfMass(s.mass[p]), byStage));
    }
}
