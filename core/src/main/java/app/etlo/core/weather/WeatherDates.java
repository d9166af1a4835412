package app.etlo.core.weather;

import app.etlo.core.weather.Reading.DayOrder;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Collection;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The dates of a weather file: 2027-05-12, 20270512, or figures such as 11/1/1996, whose order the whole file shows or, where no day
 * lies after the twelfth, somebody has to give.
 *
 * @param order of day and month; empty in a file that begins with the year
 * @param sure false where the order was only assumed
 */
record WeatherDates(Optional<DayOrder> order, boolean sure) {
    private static final Pattern FIGURES = Pattern.compile("(\\d{1,2})[/.-](\\d{1,2})[/.-](\\d{4})(?:[ T].*)?");
    private static final int MONTHS = 12;

    static WeatherDates of(Collection<String> texts, Optional<DayOrder> given) {
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
            return new WeatherDates(Optional.empty(), true);
        }
        Optional<DayOrder> shown =
                first == second ? Optional.empty() : Optional.of(first ? DayOrder.DAY_FIRST : DayOrder.MONTH_FIRST);
        return new WeatherDates(
                Optional.of(given.or(() -> shown).orElse(DayOrder.MONTH_FIRST)),
                given.isPresent() || shown.isPresent());
    }

    /** The day of a text; empty when it is not one. */
    Optional<LocalDate> read(String text) {
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
}
