package app.etlo.core.ground;

import app.etlo.core.quantity.Band;
import java.util.Arrays;
import java.util.List;

/**
 * What a simulation gave: values of the ground and of each plant on recorded days, in every weather year. Masses in kg/ha, water in mm, covers 0 to 1.
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
        RESIDUE_N_KG_HA,
        /** Mineral nitrogen by layer, kg/ha. */
        MINERAL_N_1,
        MINERAL_N_2,
        MINERAL_N_3,
        MINERAL_N_4,
        MINERAL_N_5,
        /** Ground that residue would cover without overlap, lying and standing, m2/m2. */
        LYING_SPREAD,
        STANDING_SPREAD,
        /** Days since the start. */
        BARE_DAYS,
        LIVING_ROOT_DAYS,
        /** The barest day since the record before: its cover, its day from the start, and what leaves covered on it. */
        LOWEST_COVER,
        LOWEST_DAY,
        LIVING_ON_LOWEST_DAY
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
    private final int members;
    private final int plants;
    private final int[] recordedDays;
    private final float[] values;
    final DayCounts counts;

    GroundCourse(int members, int plants, int[] recordedDays) {
        this.members = members;
        this.plants = plants;
        this.recordedDays = recordedDays;
        this.values = new float[recordedDays.length * (GROUND + PLANT * plants) * members];
        this.counts = new DayCounts(members);
    }

    private int at(int record, int variable, int member) {
        return (record * (GROUND + PLANT * plants) + variable) * members + member;
    }

    /** Writes a day of one member, and of all after it when they are still the same. */
    void record(int record, GroundState s, int member, int through) {
        for (OfGround v : GROUND_VALUES) {
            put(record, v.ordinal(), ground(s, v, member), member, through);
        }
        counts.begin(member, through);
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

    private double ground(GroundState s, OfGround v, int member) {
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
            case MINERAL_N_1 -> 10 * s.nitrate[0];
            case MINERAL_N_2 -> 10 * s.nitrate[1];
            case MINERAL_N_3 -> 10 * s.nitrate[2];
            case MINERAL_N_4 -> 10 * s.nitrate[3];
            case MINERAL_N_5 -> 10 * s.nitrate[4];
            case LYING_SPREAD -> s.surface.spreadM2M2;
            case STANDING_SPREAD -> s.standing.spreadM2M2;
            case BARE_DAYS -> counts.bareDays[member];
            case LIVING_ROOT_DAYS -> counts.livingRootDays[member];
            case LOWEST_COVER -> counts.lowestCover[member];
            case LOWEST_DAY -> counts.lowestDay[member];
            case LIVING_ON_LOWEST_DAY -> counts.lowestLiving[member];
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

    /** Takes over what another run, with the same first plants, recorded before a day. */
    void takeOver(GroundCourse o, int before) {
        int block = (GROUND + PLANT * Math.min(plants, o.plants)) * members;
        for (int r = 0; r < recordedDays.length && recordedDays[r] < before; r++) {
            int theirs = Arrays.binarySearch(o.recordedDays, recordedDays[r]);
            System.arraycopy(o.values, o.at(theirs, 0, 0), values, at(r, 0, 0), block);
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

    /** The record that holds the barest day after one record and up to another, in one year. */
    public int barest(int from, int to, int member) {
        int found = from + 1;
        for (int r = found + 1; r <= to; r++) {
            found = ground(r, OfGround.LOWEST_COVER, member) < ground(found, OfGround.LOWEST_COVER, member) ? r : found;
        }
        return found;
    }
}
