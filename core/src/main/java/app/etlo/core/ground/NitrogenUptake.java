package app.etlo.core.ground;

/**
 * Nitrogen into plants: as much as keeps them at 1.02 of the critical content (Justes and others 1994; Plenet and Lemaire 2000; from
 * memory), bounded by what new mass and roots can carry. A part of each layer's nitrate can be had in a day, by moisture and
 * roots; what several want is cut by one factor. Legumes draw at most four tenths from the soil and fix the rest, once nodules
 * work, as far as new mass and water allow.
 */
final class NitrogenUptake {
    private static final double ABOVE_CRITICAL = 1.02;
    private static final double AVAILABLE = 0.22;
    private static final double LEGUME_FROM_SOIL = 0.40;
    private static final double COOL_NODULES_FROM = 150;
    private static final double COOL_NODULES_OVER = 220;
    private static final double WARM_NODULES_FROM = 90;
    private static final double WARM_NODULES_OVER = 150;

    /** A dense stand takes no more in a day, 5 to 6 kg/ha (from memory: the highest rates measured in cereals and corn), g/m2. */
    private static final double MOST_GM2 = 0.6;

    private NitrogenUptake() {}

    static void pass(GroundState s) {
        boolean some = false;
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            s.drawn[l] = 0;
            s.supply[l] = AVAILABLE * s.nitrate[l] * Math.max(0, Math.min(1, s.relativeWater(l)));
        }
        for (int i = 0; i < s.liveCount; i++) {
            int p = s.live[i];
            s.demand[p] = 0;
            if (s.status[p] == GroundState.UP) {
                s.demand[p] = demand(s, p);
                ask(s, p);
                some = true;
            }
        }
        if (!some) {
            return;
        }
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            s.drawn[l] = s.drawn[l] > s.supply[l] ? s.supply[l] / s.drawn[l] : 1;
        }
        for (int i = 0; i < s.liveCount; i++) {
            int p = s.live[i];
            if (s.status[p] == GroundState.UP) {
                take(s, p);
            }
        }
    }

    private static double demand(GroundState s, int p) {
        GroundPlant plant = s.plant[p];
        double after = s.mass[p] + s.gain[p];
        double wanted = ABOVE_CRITICAL * plant.criticalPercent(after) / 100 * after - s.nitrogen[p];
        double can = Math.min(MOST_GM2, 0.055 * s.gain[p] + 0.010 * s.mass[p] * plant.warmth(s.dayC));
        if (s.stage[p] >= 1 && !plant.legume && s.mass[p] > 0) {
            // a maturing grass fills with starch and fibre: what it adds is no richer than what it has
            wanted = Math.min(wanted, s.gain[p] * s.nitrogen[p] / s.mass[p]);
        }
        return Math.max(0, Math.min(wanted, can));
    }

    private static void ask(GroundState s, int p) {
        double wanted = s.demand[p] * (s.plant[p].legume ? LEGUME_FROM_SOIL : 1);
        double reach = 0;
        int layers = s.soil.layersReached(s.root[p]);
        s.reaches[p] = layers;
        for (int l = 0; l < layers; l++) {
            s.claim[p][l] = s.soil.rootedShare(l, s.root[p]) * s.supply[l];
            reach += s.claim[p][l];
        }
        double each = reach > 0 ? Math.min(1, wanted / reach) : 0;
        for (int l = 0; l < layers; l++) {
            s.claim[p][l] *= each;
            s.drawn[l] += s.claim[p][l];
        }
    }

    private static void take(GroundState s, int p) {
        double got = 0;
        for (int l = 0; l < s.reaches[p]; l++) {
            double n = s.claim[p][l] * s.drawn[l];
            s.nitrate[l] -= n;
            got += n;
        }
        double fixed = 0;
        GroundPlant plant = s.plant[p];
        if (plant.kind.fixesMostGG() > 0) {
            fixed = Math.min(s.demand[p] - got, plant.kind.fixesMostGG() * s.gain[p])
                    * nodules(plant, s.warmthSinceUp[p])
                    * s.fixing[p]
                    * s.watered[p]
                    * aired(s);
            fixed = Math.max(0, fixed);
            s.books.fixedN += fixed;
        }
        s.nitrogen[p] += got + fixed;
    }

    private static double nodules(GroundPlant plant, double warmth) {
        return plant.kind.warm()
                ? Math.max(0, Math.min(1, (warmth - WARM_NODULES_FROM) / WARM_NODULES_OVER))
                : Math.max(0, Math.min(1, (warmth - COOL_NODULES_FROM) / COOL_NODULES_OVER));
    }

    /** Less in soil that is full of water. */
    private static double aired(GroundState s) {
        double above = s.waterMm[0] + s.waterMm[1] - s.soil.capacityMm[0] - s.soil.capacityMm[1];
        double room = s.soil.saturationMm[0] + s.soil.saturationMm[1] - s.soil.capacityMm[0] - s.soil.capacityMm[1];
        return Math.max(0, Math.min(1, 1 - above / Math.max(1e-9, room)));
    }
}
