package app.etlo.core.ground;

/**
 * Stage of a plant: 0 at emergence, 1 at anthesis or early bloom, 2 when ripe. Its pace is temperature, times what day length
 * allows, times what cold it still waits for (the product of three factors of published wheat models; numbers tuned).
 */
final class Development {
    private static final double LEAST_UNVERNALISED = 0.12;
    private static final double LEAST_BY_DAY_LENGTH = 0.05;
    /** Warmer than this above its upper optimum it develops no faster. */
    private static final double ABOVE_OPTIMUM = 4;

    /** A perennial that has wintered flowers after so much of the sum of its first year: red clover some 1,000 degree days. */
    private static final double AFTER_WINTER = 0.4;

    private Development() {}

    static void pass(GroundState s) {
        double cold = Math.max(0, Math.min(1, Math.min((s.meanC + 2) / 5, (14 - s.meanC) / 6)));
        for (int i = 0; i < s.liveCount; i++) {
            int p = s.live[i];
            if (s.status[p] == GroundState.UP) {
                develop(s, p, cold);
                s.bloomDays[p] += s.stage[p] >= 1 ? 1 : 0;
            }
        }
    }

    private static void develop(GroundState s, int p, double cold) {
        GroundPlant plant = s.plant[p];
        s.vernal[p] += cold;
        s.warmthSinceUp[p] += Math.max(0, s.meanC - plant.baseC);
        double warmth =
                Math.max(0, Math.min(s.meanC, plant.kind.optimumHighC() + ABOVE_OPTIMUM) - plant.kind.stageBaseC());
        if (warmth == 0) {
            return;
        }
        if (s.stage[p] < 1) {
            s.stage[p] += warmth
                    * vernalised(plant, s.vernal[p])
                    * byDayLength(plant, s.dayLengthH)
                    / (s.winters[p] > 0 ? AFTER_WINTER * plant.tsum : plant.tsum);
        } else {
            s.stage[p] += warmth / plant.kind.ripeningSum();
        }
    }

    /** 1 where it needs no cold or has had it. */
    static double vernalised(GroundPlant plant, double coldDays) {
        double wants = plant.kind.vernalDays();
        return wants == 0 ? 1 : Math.min(1, Math.max(LEAST_UNVERNALISED, coldDays / wants));
    }

    /** 1 where it does not mind or the day is long enough. */
    static double byDayLength(GroundPlant plant, double hours) {
        double from = plant.kind.dayLengthFromH();
        double to = plant.kind.dayLengthToH();
        return to == 0 ? 1 : Math.min(1, Math.max(LEAST_BY_DAY_LENGTH, (hours - from) / (to - from)));
    }
}
