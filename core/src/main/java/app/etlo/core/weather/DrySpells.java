package app.etlo.core.weather;

import java.time.LocalDate;

/** Whether a run of days without rain comes in time. */
public final class DrySpells {
    /** A day with less counts as dry. Etlo's own limit. */
    private static final double DRY_MM = 1;

    private DrySpells() {}

    /**
     * Years of ten in which so many dry days on end begin on a day or within some days after it, 0 to 10.
     *
     * @param days on end, 1 or more
     * @param et0Mm that each of them has at least; 0 where drying does not matter
     * @param wait days, 0 or more
     */
    public static double yearsOfTen(YearsAhead years, LocalDate from, int days, double et0Mm, int wait) {
        int first = years.day(from);
        int found = 0;
        for (int m = 0; m < years.count(); m++) {
            int run = 0;
            for (int d = first; d < Math.min(first + wait + days, years.days()) && run < days; d++) {
                run = years.rainMm(m, d) < DRY_MM && years.et0Mm(m, d) >= et0Mm ? run + 1 : 0;
            }
            found += run >= days ? 1 : 0;
        }
        return 10.0 * found / years.count();
    }
}
