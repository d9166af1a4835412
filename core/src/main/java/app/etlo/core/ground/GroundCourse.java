package app.etlo.core.ground;

import app.etlo.core.quantity.Band;
import app.etlo.core.weather.Percentiles;
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
        LIVING_ON_LOWEST_DAY,
        /** Air of the last days, °C. */
        RECENT_AIR_C
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
        PEAK_NITROGEN_KG_HA,
        /** Days since early bloom. */
        BLOOM_DAYS,
        /** Stage it has come to, also after its death. */
        REACHED_STAGE
    }

    private static final int GROUND = OfGround.values().length;
    private static final int PLANT = OfPlant.values().length;
    /** From here on values of a plant stay as they were at its death. */
    private static final int LASTING = OfPlant.LIGHT_MJ_M2.ordinal();

    private final int members;
    private final int plants;
    private final int[] recordedDays;
    private final float[] ground;
    /** By plant and record, only where it stands in some year: a plan of many years holds each plant but for its own season. */
    private final float[][][] standing;
    /** By plant and member: the last record on which it stands, and its lasting values since. */
    private final int[][] lastStanding;

    private final float[][] lasting;
    final DayCounts counts;

    GroundCourse(int members, int plants, int[] recordedDays) {
        this.members = members;
        this.plants = plants;
        this.recordedDays = recordedDays;
        this.ground = new float[recordedDays.length * GROUND * members];
        this.standing = new float[plants][][];
        this.lastStanding = new int[plants][members];
        this.lasting = new float[plants][(PLANT - LASTING) * members];
        for (int[] last : lastStanding) {
            Arrays.fill(last, -1);
        }
        this.counts = new DayCounts(members);
    }

    /** About how many bytes it holds. */
    long bytes() {
        long bytes = 4L * ground.length;
        for (float[][] records : standing) {
            if (records != null) {
                bytes += 8L * records.length;
                for (float[] cell : records) {
                    bytes += cell == null ? 0 : 4L * cell.length;
                }
            }
        }
        return bytes;
    }

    /** Writes a day of one member, and of all after it when they are still the same. */
    void record(int record, GroundState s, int member, int through) {
        for (OfGround v : GROUND_VALUES) {
            fill(ground, (record * GROUND + v.ordinal()) * members, ground(s, v, member), member, through);
        }
        counts.begin(member, through);
        for (int p = 0; p < plants; p++) {
            if (s.peakMass[p] > 0) {
                fill(lasting[p], 0, s.lightMj[p], member, through);
                fill(lasting[p], members, s.gained[p] * 10, member, through);
                fill(lasting[p], 2 * members, s.peakMass[p] * 10, member, through);
                fill(lasting[p], 3 * members, s.peakNitrogen[p] * 10, member, through);
                fill(lasting[p], 4 * members, s.bloomDays[p], member, through);
                fill(lasting[p], 5 * members, s.stage[p], member, through);
            }
            boolean diedUnseen = s.peakMass[p] > 0 && lastStanding[p][member] < 0;
            if (s.status[p] == GroundState.UP || diedUnseen) {
                float[] cell = cell(p, record);
                if (s.status[p] == GroundState.UP) {
                    standing(cell, s, p, member, through);
                }
                for (int v = LASTING; v < PLANT; v++) {
                    System.arraycopy(
                            lasting[p], (v - LASTING) * members + member, cell, v * members + member, through - member);
                }
                Arrays.fill(lastStanding[p], member, through, record);
            }
        }
    }

    private void standing(float[] cell, GroundState s, int p, int member, int through) {
        fill(cell, 0, s.mass[p] * 10, member, through);
        fill(cell, members, s.height[p], member, through);
        fill(cell, 2 * members, s.stage[p], member, through);
        double cover = 1 - Math.exp(-s.plant[p].kind.extinction() * s.leafArea[p]);
        fill(cell, 3 * members, cover, member, through);
        fill(cell, 4 * members, s.root[p], member, through);
        fill(cell, 5 * members, s.nitrogen[p] * 10, member, through);
        fill(cell, 6 * members, s.plantsM2[p] / s.sownM2[p], member, through);
    }

    private float[] cell(int plant, int record) {
        if (standing[plant] == null) {
            standing[plant] = new float[recordedDays.length][];
        }
        if (standing[plant][record] == null) {
            standing[plant][record] = new float[PLANT * members];
        }
        return standing[plant][record];
    }

    private static void fill(float[] values, int from, double value, int member, int through) {
        Arrays.fill(values, from + member, from + through, (float) value);
    }

    private static final OfGround[] GROUND_VALUES = OfGround.values();

    private double ground(GroundState s, OfGround v, int member) {
        return switch (v) {
            case LIVING_COVER -> 1 - Math.exp(-s.leafExtinction());
            case RESIDUE_COVER -> s.residueCover();
            case RESIDUE_KG_HA -> 10 * (s.surface.massGM2() + s.standing.massGM2());
            case MINERAL_N_KG_HA -> 10 * s.mineralN();
            case AVAILABLE_WATER_MM -> available(s);
            case SNOW_MM -> s.lyingSnowMm();
            case SOIL_C -> s.soilC;
            case WATER_1 -> s.relativeWater(0);
            case WATER_2 -> s.relativeWater(1);
            case WATER_3 -> s.relativeWater(2);
            case WATER_4 -> s.relativeWater(3);
            case WATER_5 -> s.relativeWater(4);
            case LEACHED_N_KG_HA -> 10 * s.books.belowRootsN;
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
            case RECENT_AIR_C -> s.recentAirC;
            case LIVING_ON_LOWEST_DAY -> counts.lowestLiving[member];
            case RESIDUE_N_KG_HA -> 10 * (s.surface.nitrogenIn() + s.standing.nitrogenIn() + s.mixed.nitrogenIn());
        };
    }

    /** Water that roots could draw down to the rooting limit, mm. */
    /** Between wilting point and field capacity (FAO-56): what a wet day holds above drains and is nobody's. */
    private static double available(GroundState s) {
        double mm = 0;
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            mm += s.soil.reachableMm(l, Math.min(1, s.relativeWater(l)));
        }
        return mm;
    }

    /**
     * Takes over what another run, with the same first plants, recorded before a day. What lasts after a death is not taken over: there a
     * plant may have died later than here. The first record from the day on writes it again.
     */
    void takeOver(GroundCourse o, int before) {
        for (int r = 0; r < recordedDays.length && recordedDays[r] < before; r++) {
            int theirs = Arrays.binarySearch(o.recordedDays, recordedDays[r]);
            System.arraycopy(o.ground, theirs * GROUND * members, ground, r * GROUND * members, GROUND * members);
            for (int p = 0; p < Math.min(plants, o.plants); p++) {
                takeOver(o, p, theirs, r);
            }
        }
    }

    private void takeOver(GroundCourse o, int plant, int theirs, int record) {
        float[] cell = o.standing[plant] == null ? null : o.standing[plant][theirs];
        if (cell == null) {
            return;
        }
        if (standing[plant] == null) {
            standing[plant] = new float[recordedDays.length][];
        }
        // nobody writes to a record before the day again
        standing[plant][record] = cell;
        for (int m = 0; m < members; m++) {
            boolean cameUp = cell[OfPlant.PEAK_KG_HA.ordinal() * members + m] > 0;
            lastStanding[plant][m] = cameUp && theirs <= o.lastStanding[plant][m] ? record : lastStanding[plant][m];
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
        return ground[(record * GROUND + v.ordinal()) * members + member];
    }

    public double plant(int record, int plant, OfPlant v, int member) {
        if (record > lastStanding[plant][member]) {
            return v.ordinal() < LASTING ? 0 : lasting[plant][(v.ordinal() - LASTING) * members + member];
        }
        float[] cell = standing[plant][record];
        return cell == null ? 0 : cell[v.ordinal() * members + member];
    }

    /** A value of the ground in every year. */
    public double[] ground(int record, OfGround v) {
        double[] found = new double[members];
        for (int m = 0; m < members; m++) {
            found[m] = ground(record, v, m);
        }
        return found;
    }

    /** A value of a plant in every year. */
    public double[] plant(int record, int plant, OfPlant v) {
        return sum(record, List.of(plant), v);
    }

    /** Sum over several plants of a value, in every year. */
    public double[] sum(int record, List<Integer> which, OfPlant v) {
        double[] found = new double[members];
        for (int p : which) {
            for (int m = 0; m < members; m++) {
                found[m] += plant(record, p, v, m);
            }
        }
        return found;
    }

    /** The least, middle and most of a value in 8 years of 10, from its values in every year. */
    public static Band band(double[] years) {
        Percentiles p = Percentiles.of(years);
        return new Band(p.at(0.1), p.at(0.5), p.at(0.9));
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
