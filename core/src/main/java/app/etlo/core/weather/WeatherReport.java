package app.etlo.core.weather;

import app.etlo.core.quantity.DayOrder;
import app.etlo.core.weather.Reading.Rain;
import app.etlo.core.weather.Reading.Temperature;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What the reading of a weather file has to say.
 *
 * @param days lines that held a day
 * @param temperatureDoubt why the scale is asked about, when it is
 * @param temperatureOr scales in which the numbers are weather of the place
 * @param rainSure whether the measure of rain is beyond doubt
 * @param dayOrder which of the figures 11/1/1996 is the month; empty where the year stands first
 * @param dayOrderSure whether the file shows the order, or somebody gave it
 * @param lines what was wrong, by line; the first of them when there are many
 * @param faults how many lines had something wrong
 * @param filledDays days filled in from their neighbours
 */
public record WeatherReport(
        int days,
        LocalDate first,
        LocalDate last,
        Temperature temperature,
        Optional<String> temperatureDoubt,
        List<Temperature> temperatureOr,
        Rain rain,
        boolean rainSure,
        List<Rain> rainOr,
        Optional<DayOrder> dayOrder,
        boolean dayOrderSure,
        List<Line> lines,
        int faults,
        List<Gap> gaps,
        int filledDays) {
    static final int FILLED_DAYS = 5;
    private static final int MOST_LISTED = 200;

    /**
     * @param line counted from 1, the header being the first
     * @param kind bad-date, no-number, flagged, twice, order, impossible or tmin-above-tmax
     */
    public record Line(long line, String kind, String text) {}

    /**
     * @param filled whether it was short enough to be filled
     */
    public record Gap(LocalDate from, LocalDate to, int days, boolean filled) {}

    /** Collects lines, and counts those beyond the first. */
    static final class Lines {
        private final List<Line> listed = new ArrayList<>();
        private int count;

        void add(long line, String kind, String text) {
            count++;
            if (listed.size() < MOST_LISTED) {
                listed.add(new Line(line, kind, text));
            }
        }

        List<Line> all() {
            return List.copyOf(listed);
        }

        int count() {
            return count;
        }

        Optional<Line> first() {
            return listed.stream().findFirst();
        }
    }
}
