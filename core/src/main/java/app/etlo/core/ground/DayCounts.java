package app.etlo.core.ground;

import java.util.Arrays;

/**
 * What is counted day by day in each weather year: bare days and days with living roots since the start, and the barest day since
 * the last record.
 */
final class DayCounts {
    /** Ground with less cover than this is bare (the old threshold of conservation tillage). */
    static final double BARE = 0.3;

    final int[] bareDays;
    final int[] livingRootDays;
    final double[] lowestCover;
    /** The first day on which it was as low, and what living leaves covered then. */
    final int[] lowestDay;

    final double[] lowestLiving;

    DayCounts(int members) {
        this.bareDays = new int[members];
        this.livingRootDays = new int[members];
        this.lowestCover = new double[members];
        this.lowestDay = new int[members];
        this.lowestLiving = new double[members];
        begin(0, members);
    }

    /** Counts a day of one member, and of all after it when they are still the same. */
    void count(GroundState s, int member, int through) {
        double open = Math.exp(-s.leafExtinction());
        double cover = 1 - open * (1 - s.residueCover());
        boolean roots = false;
        for (int i = 0; i < s.liveCount; i++) {
            roots |= s.status[s.live[i]] == GroundState.UP;
        }
        for (int m = member; m < through; m++) {
            if (cover < lowestCover[m]) {
                lowestCover[m] = cover;
                lowestDay[m] = s.day;
                lowestLiving[m] = 1 - open;
            }
            bareDays[m] += cover < BARE ? 1 : 0;
            livingRootDays[m] += roots ? 1 : 0;
        }
    }

    /** Searches for the barest day again. */
    void begin(int member, int through) {
        Arrays.fill(lowestCover, member, through, Double.MAX_VALUE);
    }

    /** Takes over the counts of one member, and of all after it. */
    void copyFrom(DayCounts o, int member, int through) {
        int n = through - member;
        System.arraycopy(o.bareDays, member, bareDays, member, n);
        System.arraycopy(o.livingRootDays, member, livingRootDays, member, n);
        System.arraycopy(o.lowestCover, member, lowestCover, member, n);
        System.arraycopy(o.lowestDay, member, lowestDay, member, n);
        System.arraycopy(o.lowestLiving, member, lowestLiving, member, n);
    }
}
