package app.etlo.core.working;

import java.time.LocalDate;

/**
 * What a figure is a number of, whatever step shows it: figures that are about the same are the same number.
 *
 * @param quantity in the trade's words
 * @param subject the cover, crop or window it is of, with a species where it is of one
 * @param day it is for
 */
public record About(String quantity, String subject, LocalDate day) {
    /** Dry tops that count on the day a cover ends. */
    public static About tops(String subject, LocalDate end) {
        return new About("dry tops", subject, end);
    }

    /** The share of nitrogen in them. */
    public static About nitrogenShare(String subject, LocalDate end) {
        return new About("nitrogen share of the dry tops", subject, end);
    }

    /** The nitrogen in them. */
    public static About nitrogen(String subject, LocalDate end) {
        return new About("nitrogen in the dry tops", subject, end);
    }

    /** Their carbon over their nitrogen. */
    public static About carbonToNitrogen(String subject, LocalDate end) {
        return new About("C:N of the dry tops", subject, end);
    }

    /** Days dry enough to drill in a window until a day. */
    public static About drillDays(String window, LocalDate until) {
        return new About("days dry enough to drill", window, until);
    }
}
