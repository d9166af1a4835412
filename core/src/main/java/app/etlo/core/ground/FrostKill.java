package app.etlo.core.ground;

/**
 * Frost acts on the growing point. That of a rosette lies at the crown, where snow keeps the cold off; that of an upright
 * plant feels the air. Cool days harden, warm ones and long snow undo it, stems cannot stay hard. Perennials harden whatever their stage,
 * lose their tops to hard frost and grow from the crown in spring. A night kills a share by how far it is below
 * the half-lethal temperature of the day; nights multiply. Leaves of companions shelter it. Crown temperature as in published wheat models (from memory);
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

    /**
     * Hardiness lost on a day under dark snow, where nothing feeds it (respiration under snow in published models of LT50, for instance
     * Bergjord and others 2008; from memory; rate tuned).
     */
    private static final double LOST_IN_THE_DARK = 0.015;
    /** So hardened a perennial sleeps on the next day of frost, and begins again in spring. */
    private static final double ASLEEP = 0.6;
    /** Colder than this its tops die back, a part a night, to what the crown keeps; Etlo's own round values. */
    private static final double TOPS_DIE_C = -5;

    private static final double DIES_BACK = 0.15;
    private static final double CROWN_GM2 = 30;
    private static final double CROWN_LEAVES = 0.3;

    /**
     * A closed canopy of others keeps so much of a clear night's cold from what stands in it: leaves lose the warmth to the sky in its
     * stead (a degree or two between a canopy and open ground, micrometeorology handbooks; from memory).
     */
    private static final double SHELTER_C = 1.5;

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
        return Math.min(0, 2 + tminC * (0.4 + 0.0018 * apart * apart));
    }

    private static void harden(GroundState s, int p) {
        double h = s.hardened[p];
        boolean crowned = s.plant[p].crowned;
        if (s.lyingSnowMm() > Snow.DARK_MM) {
            h -= h * LOST_IN_THE_DARK;
        } else if (crowned || s.stage[p] < STEMS) {
            h += (1 - h) * 0.07 * Math.max(0, Math.min(1, (10 - s.meanC) / 8));
        }
        if (s.meanC > 10) {
            h -= h * 0.06 * Math.min(1, (s.meanC - 10) / 6);
        }
        if (!crowned && s.stage[p] > STEMS) {
            h = Math.min(h, Math.max(0.15, 1 - 2 * (s.stage[p] - STEMS)));
        }
        s.hardened[p] = h;
        if (crowned && h > ASLEEP && s.meanC < 0 && s.stage[p] > 0) {
            // what flowers next year grows from the crown
            s.stage[p] = 0;
            s.winters[p]++;
        }
    }

    /** Tops of a perennial that feel hard frost die back to the crown, from which it grows in spring. */
    private static void dieBack(GroundState s, int p) {
        double over = s.mass[p] - CROWN_GM2;
        if (over <= 0) {
            return;
        }
        double share = DIES_BACK * Math.min(1, (TOPS_DIE_C - s.tminC) / 4) * over / s.mass[p];
        double mass = s.mass[p] * share;
        double nitrogen = s.nitrogen[p] * share;
        s.standing.add(mass, nitrogen, s.plant[p].coverM2G, s.plant[p].fragile);
        s.mass[p] -= mass;
        s.nitrogen[p] -= nitrogen;
        if (s.leafArea[p] > CROWN_LEAVES) {
            s.leafArea[p] = Math.max(CROWN_LEAVES, s.leafArea[p] * (1 - share));
        }
    }

    /** What companions keep off a plant. */
    private static double shelterC(GroundState s, int p) {
        double leaves = 0;
        for (int i = 0; i < s.liveCount; i++) {
            int other = s.live[i];
            if (other != p && s.status[other] == GroundState.UP) {
                leaves += s.plant[other].kind.extinction() * s.leafArea[other];
            }
        }
        return leaves > 0 ? SHELTER_C * (1 - Math.exp(-leaves)) : 0;
    }

    private static void night(GroundState s, int p, double crown) {
        GroundPlant plant = s.plant[p];
        double felt = plant.kind.exposed() * (s.tminC + shelterC(s, p)) + (1 - plant.kind.exposed()) * crown;
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
        if (plant.crowned && s.tminC < TOPS_DIE_C) {
            dieBack(s, p);
        } else if (plant.hardyC < HARDY_C && felt - BURN_AT * lethal < 6) {
            LeafArea.shed(s, p, s.leafArea[p] * BURN / (1 + Math.exp(felt - BURN_AT * lethal)));
        }
    }
}
