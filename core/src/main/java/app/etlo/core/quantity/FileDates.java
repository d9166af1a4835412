package app.etlo.core.quantity;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Collection;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The dates of a file that somebody brings: 2027-05-12, 20270512, or figures such as 11/1/1996, whose order the whole file shows or, where no day
 * lies after the twelfth, somebody has to give.
 *
 * @param order of day and month; empty in a file that begins with the year
 * @param sure false where the order was only assumed
 */
public record FileDates(Optional<DayOrder> order, boolean sure) {
    private static final Pattern FIGURES = Pattern.compile("(\\d{1,2})[/.-](\\d{1,2})[/.-](\\d{4})(?:[ T].*)?");
    private static final int MONTHS = 12;
    private static final int LONGEST = 40;

    /**
     * The dates of a file, by all of them together.
     *
     * @param given order of day and month, where somebody was asked
     */
    public static FileDates of(Collection<String> texts, Optional<DayOrder> given) {
        boolean figures = false;
        boolean first = false;
        boolean second = false;
        for (String text : texts) {
            Matcher m = FIGURES.matcher(text);
            if (m.matches()) {
                figures = true;
                first |= Integer.parseInt(m.group(1)) > MONTHS;
                second |= Integer.parseInt(m.group(2)) > MONTHS;
            }
        }
        if (!figures) {
            return new FileDates(Optional.empty(), true);
        }
        Optional<DayOrder> shown =
                first == second ? Optional.empty() : Optional.of(first ? DayOrder.DAY_FIRST : DayOrder.MONTH_FIRST);
        return new FileDates(
                Optional.of(given.or(() -> shown).orElse(DayOrder.MONTH_FIRST)),
                given.isPresent() || shown.isPresent());
    }

    /** The day of a text; empty when it is not one. */
    public Optional<LocalDate> read(String text) {
        try {
            Matcher m = FIGURES.matcher(text);
            if (m.matches() && order.isPresent()) {
                int a = Integer.parseInt(m.group(1));
                int b = Integer.parseInt(m.group(2));
                boolean dayFirst = order.get() == DayOrder.DAY_FIRST;
                return Optional.of(LocalDate.of(Integer.parseInt(m.group(3)), dayFirst ? b : a, dayFirst ? a : b));
            }
            return Optional.of(
                    text.matches("\\d{8}")
                            ? LocalDate.parse(text, DateTimeFormatter.BASIC_ISO_DATE)
                            : LocalDate.parse(text));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    /** What is to be said of a text that is no date here: that it can be two days, or that it is none. */
    public static String problem(String text) {
        return FIGURES.matcher(text).matches()
                ? "'" + text + "' can be two days: say which figure is the month"
                : "'" + (text.length() > LONGEST ? text.substring(0, LONGEST) : text)
                        + "' is not a date such as 2027-05-12";
    }
}
