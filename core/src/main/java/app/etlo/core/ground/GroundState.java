package app.etlo.core.ground;

import java.util.Arrays;

/**
 * Everything the ground is on a day, in arrays by plant and by layer, and the day's weather. The one mutable thing of the
 * simulation, private to this room; each process changes its own part of it. Masses in g/m2, water in mm.
 */
final class GroundState {
    static final byte NOT_SOWN = 0;
    static final byte IN_SEEDBED = 1;
    static final byte UP = 2;
    static final byte GONE = 3;

    private static final double START_WATER_SHARE = 0.7;
    /** Where the nitrate of a stubble lies, by layer; Etlo's own round shares. */
    private static final double[] START_NITRATE = {0.25, 0.25, 0.23, 0.18, 0.09};

    final GroundSoil soil;
    final GroundPlant[] plant;

    // ground
    final double[] waterMm = new double[GroundSoil.LAYERS];
    final double[] nitrate = new double[GroundSoil.LAYERS];
    double snowMm;
    double soilC = 10;
    /** Mean of the last days. */
    double recentAirC = 10;

    final ResiduePool standing = new ResiduePool();
    final ResiduePool surface = new ResiduePool();
    final ResiduePool mixed = new ResiduePool();
    final GroundBooks books = new GroundBooks();

    // plants
    final byte[] status;
    final double[] plantsM2;
    final double[] sownM2;
    /** Of the seed below the mineral soil's surface; 0 where it lies on top. */
    final double[] depthCm;

    final double[] seedClock;
    final double[] mass;
    final double[] leafArea;
    final double[] nitrogen;
    final double[] stage;
    final double[] vernal;
    final double[] hardened;
    /** Winters that a perennial has gone to sleep for. */
    final int[] winters;

    final double[] height;
    final double[] root;
    final double[] warmthSinceUp;
    /** Light taken and mass made since it came up. */
    final double[] lightMj;

    final double[] gained;
    /** Most it has weighed, and the nitrogen in it then. */
    final double[] peakMass;

    final double[] peakNitrogen;
    /** Days since early bloom on which it was up. */
    final double[] bloomDays;
    /** Share of its fixation that works, and its height against the usual, as seen in the field. */
    final double[] fixing;

    final double[] heightFactor;
    /** How fast it grows after what was done to it, as a share of before. */
    final double[] vigour;

    /** Those that are in the seedbed or up, in the order of sowing. */
    final int[] live;

    int liveCount;

    // the day
    int day;
    double tminC;
    double tmaxC;
    double meanC;
    double dayC;
    double rainMm;
    double parMj;
    double et0Mm;
    double dayLengthH;
    double irrigationMm;
    /** NaN where nobody measured it. */
    double measuredSnowMm = Double.NaN;

    // worked out on the day, by plant
    final double[] light;
    final double[] watered;
    final double[] nourished;
    final double[] gain;
    final double[] demand;
    final double[] scratch;
    final int[] order;
    // by layer
    final double[] drawn = new double[GroundSoil.LAYERS];
    final double[] supply = new double[GroundSoil.LAYERS];
    final double[][] claim;
    /** Layers that each plant asks of on the day. */
    final int[] reaches;

    GroundState(GroundSoil soil, GroundPlant[] plants) {
        int n = plants.length;
        this.soil = soil;
        this.plant = plants;
        this.status = new byte[n];
        this.plantsM2 = new double[n];
        this.sownM2 = new double[n];
        this.depthCm = new double[n];
        this.seedClock = new double[n];
        this.mass = new double[n];
        this.leafArea = new double[n];
        this.nitrogen = new double[n];
        this.stage = new double[n];
        this.vernal = new double[n];
        this.hardened = new double[n];
        this.winters = new int[n];
        this.height = new double[n];
        this.root = new double[n];
        this.warmthSinceUp = new double[n];
        this.lightMj = new double[n];
        this.gained = new double[n];
        this.fixing = new double[n];
        this.heightFactor = new double[n];
        this.peakMass = new double[n];
        this.peakNitrogen = new double[n];
        this.bloomDays = new double[n];
        this.vigour = new double[n];
        this.live = new int[n];
        this.light = new double[n];
        this.watered = new double[n];
        this.nourished = new double[n];
        this.gain = new double[n];
        this.demand = new double[n];
        this.scratch = new double[n];
        this.order = new int[n];
        this.claim = new double[n][GroundSoil.LAYERS];
        this.reaches = new int[n];
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            waterMm[l] = soil.wiltingMm[l]
                    + Math.max(0, Math.min(1, START_WATER_SHARE + soil.moreWaterShare)) * soil.availableMm(l);
        }
        leave(soil.start);
    }

    /** Nitrate is what was left, and residue lies there. */
    void leave(GroundStart start) {
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            nitrate[l] = START_NITRATE[l] * start.nitrateKgHa() / 10 * soil.nitrateFactor;
        }
        double lying = 1 - start.standingShare();
        surface.add(
                start.residueKgHa() / 10 * lying,
                start.residueNitrogenKgHa() / 10 * lying,
                start.coverM2G(),
                start.fragile());
        standing.add(
                start.residueKgHa() / 10 * start.standingShare(),
                start.residueNitrogenKgHa() / 10 * start.standingShare(),
                start.coverM2G(),
                start.fragile());
    }

    /** Water of a layer between wilting point, 0, and field capacity, 1; above 1 when wetter. */
    double relativeWater(int layer) {
        return (waterMm[layer] - soil.wiltingMm[layer]) / soil.availableMm(layer);
    }

    /** Snow on the ground as water, mm: its depth as measured, where it was; else what has fallen and not melted. */
    double lyingSnowMm() {
        return Double.isNaN(measuredSnowMm) ? snowMm : measuredSnowMm;
    }

    /** The same over the top 30 cm. */
    double relativeWaterTop() {
        return (waterMm[0] + waterMm[1] - soil.wiltingMm[0] - soil.wiltingMm[1])
                / (soil.availableMm(0) + soil.availableMm(1));
    }

    double leafAreaOfAll() {
        double sum = 0;
        for (int i = 0; i < liveCount; i++) {
            sum += leafArea[live[i]];
        }
        return sum;
    }

    /** Light that living leaves would take from above, by their extinction: sum of k times leaf area. */
    double leafExtinction() {
        double sum = 0;
        for (int i = 0; i < liveCount; i++) {
            int p = live[i];
            sum += plant[p].kind.extinction() * leafArea[p];
        }
        return sum;
    }

    /** Ground covered by residue, flat and, for 4 parts in 10 of its spread, standing. */
    double residueCover() {
        return 1 - Math.exp(-surface.spreadM2M2 - 0.4 * standing.spreadM2M2);
    }

    double mineralN() {
        double sum = 0;
        for (double n : nitrate) {
            sum += n;
        }
        return sum;
    }

    double water() {
        double sum = snowMm;
        for (double w : waterMm) {
            sum += w;
        }
        return sum;
    }

    /** Nitrogen in everything that is booked: soil, plants, residue and its microbes. */
    double nitrogenIn() {
        double sum = mineralN() + standing.nitrogenIn() + surface.nitrogenIn() + mixed.nitrogenIn();
        for (double n : nitrogen) {
            sum += n;
        }
        return sum;
    }

    void join(int p) {
        live[liveCount++] = p;
    }

    /** Takes a plant that is gone out of the living. */
    void leave(int p) {
        int to = 0;
        for (int i = 0; i < liveCount; i++) {
            if (live[i] != p) {
                live[to++] = live[i];
            }
        }
        liveCount = to;
        status[p] = GONE;
        plantsM2[p] = 0;
        mass[p] = 0;
        leafArea[p] = 0;
        nitrogen[p] = 0;
        height[p] = 0;
        light[p] = 0;
        gain[p] = 0;
    }

    /** Kills a share of a plant where it stands: what dies becomes residue. */
    void kill(int p, double share, double standingShare) {
        double dead = mass[p] * share;
        double deadN = nitrogen[p] * share;
        standing.add(dead * standingShare, deadN * standingShare, plant[p].coverM2G, plant[p].fragile);
        surface.add(dead * (1 - standingShare), deadN * (1 - standingShare), plant[p].coverM2G, plant[p].fragile);
        double left = 1 - share;
        mass[p] *= left;
        nitrogen[p] *= left;
        leafArea[p] *= left;
        plantsM2[p] *= left;
    }

    /**
     * Becomes as another is. The plants that both have are the first ones; of those it has beyond the other's none is sown yet.
     */
    void copyFrom(GroundState o) {
        snowMm = o.snowMm;
        soilC = o.soilC;
        recentAirC = o.recentAirC;
        standing.copyFrom(o.standing);
        surface.copyFrom(o.surface);
        mixed.copyFrom(o.mixed);
        books.copyFrom(o.books);
        copy(o.waterMm, waterMm);
        copy(o.nitrate, nitrate);
        int both = Math.min(status.length, o.status.length);
        System.arraycopy(o.status, 0, status, 0, both);
        Arrays.fill(status, both, status.length, NOT_SOWN);
        copy(o.depthCm, depthCm);
        System.arraycopy(o.live, 0, live, 0, o.liveCount);
        liveCount = o.liveCount;
        day = o.day;
        copy(o.plantsM2, plantsM2);
        copy(o.sownM2, sownM2);
        copy(o.seedClock, seedClock);
        copy(o.mass, mass);
        copy(o.leafArea, leafArea);
        copy(o.nitrogen, nitrogen);
        copy(o.stage, stage);
        copy(o.vernal, vernal);
        copy(o.hardened, hardened);
        System.arraycopy(o.winters, 0, winters, 0, both);
        Arrays.fill(winters, both, winters.length, 0);
        copy(o.height, height);
        copy(o.root, root);
        copy(o.warmthSinceUp, warmthSinceUp);
        copy(o.lightMj, lightMj);
        copy(o.gained, gained);
        copy(o.fixing, fixing);
        copy(o.heightFactor, heightFactor);
        copy(o.peakMass, peakMass);
        copy(o.peakNitrogen, peakNitrogen);
        copy(o.bloomDays, bloomDays);
        copy(o.vigour, vigour);
        copy(o.light, light);
        copy(o.gain, gain);
    }

    private static void copy(double[] from, double[] to) {
        int both = Math.min(from.length, to.length);
        System.arraycopy(from, 0, to, 0, both);
        Arrays.fill(to, both, to.length, 0);
    }
}
