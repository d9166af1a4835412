package app.etlo.core.ground;

/**
 * Residue decays in two pools, fast and slow, slower where carbon is wide of nitrogen; microbes grow on it at a C:N of their own,
 * bind mineral nitrogen when it lacks and free it when they die. The form is that of CERES-N (Godwin and Jones 1991; from memory),
 * numbers tuned between two published rules of release and on series of residue bags. When the mineral nitrogen in reach runs out,
 * decay is held back to what it allows. What lies on top minds a wide C:N less, since little of it touches the soil's nitrogen at once;
 * worms and weather take a share of it into the soil each day that is not frozen, more of what breaks up fast (over a winter 70 to 90 %
 * stays of tough residue and 50 to 75 % of fragile: USDA SCS and Equipment Manufacturers Institute 1992, from memory). Standing residue
 * falls little by little and decays once it lies; stalks and straw stand for months, soft stems for days.
 */
final class ResidueDecay {
    private static final double FAST = 0.15;
    private static final double SLOW = 0.0055;
    private static final double MICROBES_DIE = 0.0273;
    private static final double SURFACE = 0.75;
    private static final double EFFICIENCY = 0.428;
    private static final double MICROBE_CN = 7.55;
    private static final double FREED = 0.878;
    private static final double WIDE = 0.6;
    private static final double CRITICAL_CN = 25;
    private static final double SLOW_ON_TOP = 0.0035;
    private static final double WIDE_ON_TOP = 0.2;
    /** What decays fast holds so much more nitrogen for its carbon. */
    private static final double RICHER = 1.15;
    /** Taken off what warmth does: what decays fast minds the cold less, a Q10 of 1.6 in place of 2.2. */
    private static final double FAST_PER_DEGREE = 0.034;
    /** Shares that go in a day: of standing residue to the ground, of lying residue into it. */
    private static final double FALLS = 0.006;

    private static final double FALLS_FRAGILE = 0.06;
    private static final double WEATHERS = 0.003;
    private static final double WEATHERS_FRAGILE = 0.0045;

    private ResidueDecay() {}

    static void pass(GroundState s) {
        if (s.standing.fastC + s.standing.slowC > 1e-9 && s.meanC > 0) {
            double fragile = s.standing.fragileShare();
            s.standing.move(FALLS * (1 - fragile) + FALLS_FRAGILE * fragile, s.surface);
        }
        double warmth = HumusSupply.warmth(s.soilC);
        if (warmth == 0) {
            return;
        }
        double fragile = s.surface.fragileShare();
        s.surface.move(WEATHERS * (1 - fragile) + WEATHERS_FRAGILE * fragile, s.mixed);
        decay(s, s.surface, warmth * SURFACE * HumusSupply.moisture(s.relativeWater(0)), 1);
        decay(s, s.mixed, warmth * HumusSupply.moisture(s.relativeWaterTop()), 2);
    }

    /**
     * @param layers from which microbes take mineral nitrogen: 1 for residue on the surface, where fungi of a wider C:N live on it
     */
    private static void decay(GroundState s, ResiduePool pool, double pace, int layers) {
        boolean onTop = layers == 1;
        double carbon = pool.carbon();
        if (carbon + pool.microbeC < 1e-9) {
            return;
        }
        double cn = pool.nitrogen > 0 ? carbon / pool.nitrogen : 1000;
        double narrow =
                cn <= CRITICAL_CN ? 1 : Math.exp(-(onTop ? WIDE_ON_TOP : WIDE) * (cn - CRITICAL_CN) / CRITICAL_CN);
        double fast = pool.fastC * gone(FAST * pace * coldToo(s.soilC) * narrow);
        double slow = pool.slowC * gone((onTop ? SLOW_ON_TOP : SLOW) * pace * narrow);
        double dying = gone(MICROBES_DIE * pace);
        double decayed = fast + slow;
        double rich = RICHER * pool.fastC + pool.slowC;
        double freedFromResidue = rich > 0 ? pool.nitrogen * (RICHER * fast + slow) / rich : 0;
        double bound = EFFICIENCY * decayed / MICROBE_CN;
        double dead = pool.microbeN * dying;
        double within = 0;
        for (int l = 0; l < layers; l++) {
            within += s.nitrate[l];
        }
        double lacking = bound - freedFromResidue;
        double can = within + dead * FREED;
        double held = lacking > can && lacking > 0 ? can / lacking : 1;
        fast *= held;
        slow *= held;
        decayed *= held;
        freedFromResidue *= held;
        bound *= held;
        pool.fastC -= fast;
        pool.slowC -= slow;
        pool.nitrogen -= freedFromResidue;
        pool.spreadM2M2 *= carbon > 0 ? (carbon - decayed) / carbon : 1;
        pool.microbeC += EFFICIENCY * decayed - pool.microbeC * dying;
        pool.microbeN += bound - dead;
        s.books.humusN += dead * (1 - FREED);
        put(s, freedFromResidue + dead * FREED - bound, within, layers);
    }

    private static double coldToo(double soilC) {
        return Math.exp(-FAST_PER_DEGREE * (Math.min(soilC, 20) - 20));
    }

    /** Adds to or takes from the nitrate of the top layers: added by thickness, taken by what is there. */
    private static void put(GroundState s, double net, double within, int layers) {
        for (int l = 0; l < layers; l++) {
            double share = net >= 0
                    ? (layers == 1 ? 1 : l == 0 ? 1 / 3.0 : 2 / 3.0)
                    : (within > 0 ? s.nitrate[l] / within : 0);
            s.nitrate[l] = Math.max(0, s.nitrate[l] + net * share);
        }
    }

    /** 1 - exp(-rate), for rates of a day. */
    private static double gone(double rate) {
        return rate * (1 - rate / 2 * (1 - rate / 3 * (1 - rate / 4)));
    }
}
