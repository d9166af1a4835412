package app.etlo.core.ground;

import app.etlo.core.quantity.Band;
import java.util.Arrays;
import java.util.List;

/**
 * What a simulation gave: values of the ground and of each plant on recorded days, in every weather year; sums and extremes over the
 * whole of each year's run. Masses in kg/ha, water in mm, covers 0 to 1.
 */
public final class GroundCourse {
    /** Values of the ground as a whole. */
    public enum OfGround {
        LIVING_COVER,
        RESIDUE_COVER,
        RESIDUE_KG_HA,
        MINERAL_N_KG_HA,
        AVAILABLE_WATER_MM,
        SNOW_MM,
        SOIL_C,
        WATER_1,
        WATER_2,
        WATER_3,
        WATER_4,
        WATER_5,
        LEACHED_N_KG_HA,
        RESIDUE_N_KG_HA
    }

    /** Values of a plant. */
    public enum OfPlant {
        MASS_KG_HA,
        HEIGHT_M,
        STAGE,
        COVER,
        ROOT_M,
        NITROGEN_KG_HA,
        STAND,
        LIGHT_MJ_M2,
        MADE_KG_HA,
        /** Most it has weighed so far, also after its death. */
        PEAK_KG_HA,
        /** Nitrogen in it then. */
        PEAK_NITROGEN_KG_HA
    }

    private static final int GROUND = OfGround.values().length;
    private static final int PLANT = OfPlant.values().length;
    /** Ground with less cover than this is bare (the old threshold of conservation tillage). */
    static final double BARE = 0.3;

    private final int members;
    private final int plants;
    private final int[] recordedDays;
    private final float[] values;
    private final double[] lowestCover;
    private final int[] bareDays;
    private final int[] livingRootDays;

    GroundCourse(int members, int plants, int[] recordedDays) {
        this.members = members;
        this.plants = plants;
        this.recordedDays = recordedDays;
        this.values = new float[recordedDays.length * (GROUND + PLANT * plants) * members];
        this.lowestCover = new double[members];
        this.bareDays = new int[members];
        this.livingRootDays = new int[members];
        Arrays.fill(lowestCover, 1);
    }

    private int at(int record, int variable, int member) {
        return (record * (GROUND + PLANT * plants) + variable) * members + member;
    }

    /** Writes a day of one member, and of all after it when they are still the same. */
    void record(int record, GroundState s, int member, int through) {
        for (OfGround v : GROUND_VALUES) {
            put(record, v.ordinal(), ground(s, v), member, through);
        }
        for (int p = 0; p < plants; p++) {
            int base = GROUND + p * PLANT;
            if (s.peakMass[p] > 0) {
                put(record, base + 7, s.lightMj[p], member, through);
                put(record, base + 8, s.gained[p] * 10, member, through);
                put(record, base + 9, s.peakMass[p] * 10, member, through);
                put(record, base + 10, s.peakNitrogen[p] * 10, member, through);
            }
            if (s.status[p] == GroundState.UP) {
                put(record, base, s.mass[p] * 10, member, through);
                put(record, base + 1, s.height[p], member, through);
                put(record, base + 2, s.stage[p], member, through);
                put(record, base + 3, 1 - Math.exp(-s.plant[p].kind.extinction() * s.leafArea[p]), member, through);
                put(record, base + 4, s.root[p], member, through);
                put(record, base + 5, s.nitrogen[p] * 10, member, through);
                put(record, base + 6, s.plantsM2[p] / s.sownM2[p], member, through);
            }
        }
    }

    private static final OfGround[] GROUND_VALUES = OfGround.values();

    private static double ground(GroundState s, OfGround v) {
        return switch (v) {
            case LIVING_COVER -> 1 - Math.exp(-s.leafExtinction());
            case RESIDUE_COVER -> s.residueCover();
            case RESIDUE_KG_HA -> 10 * (s.surface.massGM2() + s.standing.massGM2());
            case MINERAL_N_KG_HA -> 10 * s.mineralN();
            case AVAILABLE_WATER_MM -> available(s);
            case SNOW_MM -> s.snowMm;
            case SOIL_C -> s.soilC;
            case WATER_1 -> s.relativeWater(0);
            case WATER_2 -> s.relativeWater(1);
            case WATER_3 -> s.relativeWater(2);
            case WATER_4 -> s.relativeWater(3);
            case WATER_5 -> s.relativeWater(4);
            case LEACHED_N_KG_HA -> 10 * s.books.leachedN;
            case RESIDUE_N_KG_HA -> 10 * (s.surface.nitrogenIn() + s.standing.nitrogenIn() + s.mixed.nitrogenIn());
        };
    }

    /** Water that roots could draw down to the rooting limit, mm. */
    private static double available(GroundState s) {
        double mm = 0;
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            mm += s.soil.rootedShare(l, s.soil.rootingM) * Math.max(0, s.waterMm[l] - s.soil.wiltingMm[l]);
        }
        return mm;
    }

    private void put(int record, int variable, double value, int member, int through) {
        int i = at(record, variable, member);
        Arrays.fill(values, i, i + through - member, (float) value);
    }

    /** Counts a day of one member, and of all after it when they are still the same. */
    void count(GroundState s, int member, int through) {
        double cover = 1 - Math.exp(-s.leafExtinction()) * (1 - s.residueCover());
        boolean roots = false;
        for (int i = 0; i < s.liveCount; i++) {
            roots |= s.status[s.live[i]] == GroundState.UP;
        }
        for (int m = member; m < through; m++) {
            lowestCover[m] = Math.min(lowestCover[m], cover);
            bareDays[m] += cover < BARE ? 1 : 0;
            livingRootDays[m] += roots ? 1 : 0;
        }
    }

    /** Takes over what another run, with the same first plants, recorded before a day. */
    void takeOver(GroundCourse o, int before) {
        int block = (GROUND + PLANT * Math.min(plants, o.plants)) * members;
        for (int r = 0; r < recordedDays.length && recordedDays[r] < before; r++) {
            int theirs = Arrays.binarySearch(o.recordedDays, recordedDays[r]);
            System.arraycopy(o.values, o.at(theirs, 0, 0), values, at(r, 0, 0), block);
        }
    }

    /** Copies of the counts of one member, and of all after it when they are still the same. */
    void countsTo(Counts counts, int member, int through) {
        for (int m = member; m < through; m++) {
            counts.lowestCover[m] = lowestCover[m];
            counts.bareDays[m] = bareDays[m];
            counts.livingRootDays[m] = livingRootDays[m];
        }
    }

    void countsFrom(Counts counts) {
        System.arraycopy(counts.lowestCover, 0, lowestCover, 0, members);
        System.arraycopy(counts.bareDays, 0, bareDays, 0, members);
        System.arraycopy(counts.livingRootDays, 0, livingRootDays, 0, members);
    }

    /** What is counted day by day, as it was on the way. */
    static final class Counts {
        private final double[] lowestCover;
        private final int[] bareDays;
        private final int[] livingRootDays;

        Counts(int members) {
            this.lowestCover = new double[members];
            this.bareDays = new int[members];
            this.livingRootDays = new int[members];
        }
    }

    public int members() {
        return members;
    }

    public int plants() {
        return plants;
    }

    /** The recorded days, counted from the first of the simulation, in order. */
    public int[] recordedDays() {
        return recordedDays.clone();
    }

    public int records() {
        return recordedDays.length;
    }

    public int recordedDay(int record) {
        return recordedDays[record];
    }

    /** Place of the record of a day; the last one before it where the day itself is not recorded. */
    public int recordOf(int day) {
        int i = Arrays.binarySearch(recordedDays, day);
        return i >= 0 ? i : Math.max(0, -i - 2);
    }

    public double ground(int record, OfGround v, int member) {
        return values[at(record, v.ordinal(), member)];
    }

    public double plant(int record, int plant, OfPlant v, int member) {
        return values[at(record, GROUND + plant * PLANT + v.ordinal(), member)];
    }

    /** A value of the ground in every year. */
    public double[] ground(int record, OfGround v) {
        return years(record, v.ordinal());
    }

    /** A value of a plant in every year. */
    public double[] plant(int record, int plant, OfPlant v) {
        return years(record, GROUND + plant * PLANT + v.ordinal());
    }

    private double[] years(int record, int variable) {
        double[] found = new double[members];
        int i = at(record, variable, 0);
        for (int m = 0; m < members; m++) {
            found[m] = values[i + m];
        }
        return found;
    }

    /** Sum over several plants of a value, in every year. */
    public double[] sum(int record, List<Integer> which, OfPlant v) {
        double[] found = new double[members];
        for (int p : which) {
            int i = at(record, GROUND + p * PLANT + v.ordinal(), 0);
            for (int m = 0; m < members; m++) {
                found[m] += values[i + m];
            }
        }
        return found;
    }

    /** The least, middle and most of a value in 8 years of 10, from its values in every year. */
    public static Band band(double[] years) {
        double[] sorted = years.clone();
        Arrays.sort(sorted);
        return new Band(at(sorted, 0.1), at(sorted, 0.5), at(sorted, 0.9));
    }

    private static double at(double[] sorted, double share) {
        double place = share * (sorted.length - 1);
        int i = (int) place;
        double next = sorted[Math.min(sorted.length - 1, i + 1)];
        return sorted[i] + (place - i) * (next - sorted[i]);
    }

    public double[] lowestCover() {
        return lowestCover.clone();
    }

    public double[] bareDays() {
        return Arrays.stream(bareDays).asDoubleStream().toArray();
    }

    public double[] livingRootDays() {
        return Arrays.stream(livingRootDays).asDoubleStream().toArray();
    }
}
