package app.etlo.core.ground;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.PlantKind;
import app.etlo.core.knowledge.Species;

/**
 * A plant as the simulation grows it: a kind whose numbers are tuned or published, with what the library knows of the species or
 * crop itself in their place. The curves that would need a power or an exponential each day are laid down in tables once.
 */
public final class GroundPlant {
    private static final int STEPS = 240;
    private static final double HALF = 0.5;
    private static final double FALLS = 0.7;
    private static final double FALLS_OF_WARM_GRASS = 0.15;
    private static final double STEP_GM2 = 12.5;
    /** Leaf area of a seedling from the mass of its seed, cm2 from mg; Etlo's own rule of thumb. */
    private static final double LEAF_OF_SEED = 0.06;

    private static final double LEAF_POWER = 0.95;
    /** Leaves of a young plant as it is set out; common practice, four to six leaves. */
    private static final double LEAF_OF_SET_CM2 = 60;

    /** A species beside the model of its kind: seedling leaf by the mass of the seed to this power; Etlo's own. */
    private static final double LEAF_BY_SEED = 0.7;
    /** Rates of growth differ less than the masses that guides give. */
    private static final double RUE_POWER = 0.25;

    final String id;
    final PlantKind kind;
    final boolean legume;
    /** Whether it winters as a crown and grows from it in spring. */
    final boolean crowned;
    /** Degree days to anthesis. */
    final double tsum;

    final double tteEmergence;
    final double seedlingLeafM2;
    final double rue;
    final double heightM;
    final double vineM;
    final double rootM;
    final double baseC;
    final double tenderC;
    final double hardyC;
    /** Area covered by a gram of its flat residue, m2. */
    final double coverM2G;

    /** Whether its residue breaks up fast. */
    final boolean fragile;
    /** Share of a dead leaf's mass that falls; tall warm grasses keep their dead leaves. */
    final double fallenLeaf;

    /** Whether it is set as a young plant. */
    final boolean transplanted;

    final double frostWidthC;
    final double rangeA;
    final double rangeB;
    private final double[] criticalPercent = new double[STEPS + 1];
    private final double[] heightByMassM = new double[STEPS + 1];

    private GroundPlant(
            String id,
            PlantKind kind,
            boolean legume,
            boolean crowned,
            double tsum,
            double tteEmergence,
            double seedlingLeafCm2,
            double rue,
            double heightM,
            double rootM,
            double tenderC,
            double hardyC,
            double coverM2G,
            boolean fragile,
            boolean transplanted) {
        this.id = id;
        this.kind = kind;
        this.legume = legume;
        this.crowned = crowned;
        this.tsum = tsum;
        this.tteEmergence = tteEmergence;
        this.seedlingLeafM2 = seedlingLeafCm2 * 1e-4;
        this.rue = rue;
        this.heightM = heightM;
        this.vineM = kind.vineM();
        this.rootM = rootM;
        this.baseC = kind.baseC();
        this.tenderC = tenderC;
        this.hardyC = hardyC;
        this.coverM2G = coverM2G;
        this.fragile = fragile;
        this.transplanted = transplanted;
        this.fallenLeaf = kind.warm() && !fragile ? FALLS_OF_WARM_GRASS : FALLS;
        this.frostWidthC = tenderC > -3 ? 0.3 : 0.55;
        this.rangeA = 1 / (kind.optimumLowC() - kind.baseC());
        this.rangeB = 1 / (kind.highestC() - kind.optimumHighC());
        for (int i = 0; i <= STEPS; i++) {
            double gM2 = i * STEP_GM2;
            criticalPercent[i] =
                    kind.nitrogenA() * Math.pow(Math.max(gM2 / 100, kind.nitrogenFromTHa()), -kind.nitrogenB());
            heightByMassM[i] = heightM * (1 - Math.exp(-gM2 / kind.heightMassGM2()));
        }
    }

    /**
     * A species of the library as its kind grows, with its own hardiness, height, roots, seed, emergence and time to flower.
     *
     * @param kind it grows as
     * @param model the species that the kind was tuned on
     */
    public static GroundPlant of(Species s, PlantKind kind, Species model) {
        boolean itself = s.id().equals(model.id());
        double flowering = s.growth().floweringDegreeDays() / model.growth().floweringDegreeDays();
        double mass = s.growth().massTHa().middle() / model.growth().massTHa().middle();
        double seedMg = s.thousandSeedMassG();
        double emergence = s.growth().emergenceDegreeDays() / model.growth().emergenceDegreeDays();
        return new GroundPlant(
                s.id(),
                kind,
                s.group().isLegume(),
                s.growth().isPerennial() || s.growth().isBiennial() && kind.topsShareEarly() < HALF,
                kind.tsum() * flowering,
                kind.emergenceSum() * emergence,
                kind.seedlingLeafCm2() * Math.pow(seedMg / model.thousandSeedMassG(), LEAF_BY_SEED),
                kind.rue() * Math.max(0.8, Math.min(1.2, Math.pow(mass, RUE_POWER))),
                itself ? kind.heightM() : s.heightM(),
                itself ? kind.rootM() : Math.max(0.3, s.rootDepthM()),
                kind.tenderC() + (s.growth().killTenderC() - model.growth().killTenderC()),
                kind.hardyC() + (s.killC() - model.killC()),
                kind.coverM2G(),
                !s.group().isGrass(),
                false);
    }

    /** A cash crop as its kind grows, with its own height, roots and residue. */
    public static GroundPlant of(Crop c, PlantKind kind) {
        return new GroundPlant(
                c.id(),
                kind,
                c.group().isLegume(),
                c.growing().isPerennial(),
                kind.tsum(),
                kind.emergenceSum(),
                c.growing().transplanted()
                        ? LEAF_OF_SET_CM2
                        : LEAF_OF_SEED * Math.pow(c.growing().thousandSeedG(), LEAF_POWER),
                kind.rue(),
                c.heightM(),
                c.rootDepthM(),
                kind.tenderC(),
                kind.hardyC(),
                c.growing().coverAcPerLb() / GM2_OF_LB_AC,
                c.growing().fragileResidue(),
                c.growing().transplanted());
    }

    /** Grams per square metre in a pound per acre. */
    private static final double GM2_OF_LB_AC = 0.112085;

    /** The same plant with its numbers moved. */
    public GroundPlant varied(GroundVariation v) {
        return v.equals(GroundVariation.NONE)
                ? this
                : new GroundPlant(
                        id,
                        kind,
                        legume,
                        crowned,
                        tsum * v.plants().toFlower(),
                        tteEmergence,
                        seedlingLeafM2 * 1e4,
                        rue * v.plants().lightUse(),
                        heightM,
                        rootM,
                        tenderC + v.plants().hardinessC(),
                        hardyC + v.plants().hardinessC(),
                        coverM2G,
                        fragile,
                        transplanted);
    }

    /** Whether two plants grow alike in everything. */
    boolean isSame(GroundPlant o) {
        return this == o
                || id.equals(o.id)
                        && kind.equals(o.kind)
                        && legume == o.legume
                        && crowned == o.crowned
                        && tsum == o.tsum
                        && tteEmergence == o.tteEmergence
                        && seedlingLeafM2 == o.seedlingLeafM2
                        && rue == o.rue
                        && heightM == o.heightM
                        && rootM == o.rootM
                        && tenderC == o.tenderC
                        && hardyC == o.hardyC
                        && coverM2G == o.coverM2G
                        && fragile == o.fragile
                        && transplanted == o.transplanted;
    }

    public String id() {
        return id;
    }

    /** Dry matter made of each MJ of light taken where nothing lacks, g. */
    public double lightUseGMj() {
        return rue;
    }

    /** Critical nitrogen of the tops at a dry mass, %. */
    double criticalPercent(double gM2) {
        return read(criticalPercent, gM2);
    }

    /** Height that its mass can carry, m. */
    double heightOfMass(double gM2) {
        return read(heightByMassM, gM2);
    }

    private static double read(double[] table, double gM2) {
        double at = gM2 / STEP_GM2;
        if (at >= STEPS) {
            return table[STEPS];
        }
        int i = (int) at;
        return table[i] + (at - i) * (table[i + 1] - table[i]);
    }

    /** How much a temperature lets it grow, 0 to 1: rising from the base, level between the optima, falling to the highest. */
    double warmth(double c) {
        if (c <= baseC || c >= kind.highestC()) {
            return 0;
        }
        if (c < kind.optimumLowC()) {
            return (c - baseC) * rangeA;
        }
        return c <= kind.optimumHighC() ? 1 : (kind.highestC() - c) * rangeB;
    }
}
