package app.etlo.core.ground;

/**
 * Frost acts on the growing point. That of a rosette lies at the crown, where snow keeps the cold off; that of an upright
 * plant feels the air. Cool days harden, warm ones undo it, stems cannot stay hard. A night kills a share by how far it is below
 * the half-lethal temperature of the day; nights multiply. Crown temperature as in published wheat models (from memory);
 * numbers of hardening tuned.
 */
final class FrostKill {
    /** With so few of its plants left a stand is dead. */
    private static final double LOST = 0.03;

    private static final double STEMS = 0.45;
    private static final double BURN = 0.10;
    private static final double BURN_AT = 0.62;
    /** Half-lethal temperatures below this are those of hardy kinds, whose leaves burn first. */
    private static final double HARDY_C = -10;
    /** Beyond so many widths above the half-lethal temperature nothing dies. */
    private static final double OUT_OF_REACH = 9;

    private FrostKill() {}

    static void pass(GroundState s) {
        double crown = crownC(s.tminC, s.lyingSnowMm());
        for (int i = s.liveCount - 1; i >= 0; i--) {
            int p = s.live[i];
            if (s.status[p] == GroundState.UP) {
                harden(s, p);
                if (s.tminC < 2) {
                    night(s, p, crown);
                }
            }
        }
    }

    /** Temperature at the crown under snow, °C. */
    static double crownC(double tminC, double snowMm) {
        if (tminC >= 0) {
            return tminC;
        }
        double apart = Math.min(15, 0.5 * snowMm) - 15;
        return 2 + tminC * (0.4 + 0.0018 * apart * apart);
    }

    private static void harden(GroundState s, int p) {
        double h = s.hardened[p];
        if (s.stage[p] < STEMS) {
            h += (1 - h) * 0.07 * Math.max(0, Math.min(1, (10 - s.meanC) / 8));
        }
        if (s.meanC > 10) {
            h -= h * 0.06 * Math.min(1, (s.meanC - 10) / 6);
        }
        if (s.stage[p] > STEMS) {
            h = Math.min(h, Math.max(0.15, 1 - 2 * (s.stage[p] - STEMS)));
        }
        s.hardened[p] = h;
    }

    private static void night(GroundState s, int p, double crown) {
        GroundPlant plant = s.plant[p];
        double felt = plant.kind.exposed() * s.tminC + (1 - plant.kind.exposed()) * crown;
        double lethal = plant.tenderC + (plant.hardyC - plant.tenderC) * s.hardened[p];
        double widths = (felt - lethal) / plant.frostWidthC;
        if (widths < OUT_OF_REACH) {
            s.kill(p, 1 / (1 + Math.exp(widths)), 1);
            if (s.plantsM2[p] < LOST * s.sownM2[p]) {
                s.kill(p, 1, 1);
                s.leave(p);
                return;
            }
        }
        if (plant.hardyC < HARDY_C && felt - BURN_AT * lethal < 6) {
            LeafArea.shed(s, p, s.leafArea[p] * BURN / (1 + Math.exp(felt - BURN_AT * lethal)));
        }
    }
}
