package app.etlo.core.weather;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * When frost of a strength ends in spring and begins in autumn, by the years of a series. A season runs from midsummer to
 * midsummer, so nothing here assumes which half of the earth it is. A frost counts for autumn until a month after midwinter and for
 * spring from a month before it: a first frost that only comes in spring is not an autumn's. A year without such a frost counts as one
 * in which it came latest in autumn and earliest in spring, not as missing.
 *
 * @param thresholdC a night below it is a frost; screens stand at 2 m, hollows are 2 to 4 °C colder
 * @param seasons how many autumns were looked at
 * @param without how many of those years never came below
 */
public record FrostRisk(
        double thresholdC,
        int seasons,
        int without,
        Optional<MonthDay> lastSpringEarly,
        Optional<MonthDay> lastSpringMiddle,
        Optional<MonthDay> lastSpringLate,
        Optional<MonthDay> firstAutumnEarly,
        Optional<MonthDay> firstAutumnMiddle,
        Optional<MonthDay> firstAutumnLate) {

    /** Days from midsummer to a month past midwinter, and to a month before it. */
    private static final int AUTUMN_UNTIL = 215;

    private static final int SPRING_FROM = 150;

    /** A season's first frost of autumn and last of spring, as days after its midsummer in a year without 29 February. */
    private record Season(double first, double last, boolean any) {}

    /**
     * The risk in a climate; empty when no winter is whole.
     *
     * @param offsetC added to the nights: below 0 for a cold hollow
     * @param asOf only seasons that are over on this day
     */
    public static Optional<FrostRisk> of(Climate climate, double thresholdC, double offsetC, LocalDate asOf) {
        MonthDay midsummer = climate.place().isSouthern() ? MonthDay.of(1, 15) : MonthDay.of(7, 15);
        List<Season> seasons = new ArrayList<>();
        WeatherSeries w = climate.series();
        for (int year = w.first().getYear(); year < w.end().getYear(); year++) {
            LocalDate from = midsummer.atYear(year);
            LocalDate to = midsummer.atYear(year + 1);
            if (!from.isBefore(w.first()) && !to.isAfter(w.end()) && !to.isAfter(asOf)) {
                seasons.add(season(w, from, to, thresholdC - offsetC));
            }
        }
        if (seasons.isEmpty()) {
            return Optional.empty();
        }
        Percentiles spring = percentiles(seasons, Season::last);
        Percentiles autumn = percentiles(seasons, Season::first);
        return Optional.of(new FrostRisk(
                thresholdC,
                seasons.size(),
                (int) seasons.stream().filter(s -> !s.any()).count(),
                day(midsummer, spring.at(0.1)),
                day(midsummer, spring.at(0.5)),
                day(midsummer, spring.at(0.9)),
                day(midsummer, autumn.at(0.1)),
                day(midsummer, autumn.at(0.5)),
                day(midsummer, autumn.at(0.9))));
    }

    private static Season season(WeatherSeries w, LocalDate from, LocalDate to, double thresholdC) {
        double first = Double.POSITIVE_INFINITY;
        double last = Double.NEGATIVE_INFINITY;
        boolean any = false;
        int after = 0;
        for (LocalDate d = from; d.isBefore(to); d = d.plusDays(1)) {
            if (w.tminC(w.index(d)) < thresholdC) {
                any = true;
                first = after <= AUTUMN_UNTIL ? Math.min(first, after) : first;
                last = after >= SPRING_FROM ? after : last;
            }
            // 29 February is counted as the day before it
            after += d.getMonthValue() == 2 && d.getDayOfMonth() == 28 && d.isLeapYear() ? 0 : 1;
        }
        return new Season(first, last, any);
    }

    private static Percentiles percentiles(List<Season> seasons, ToDoubleFunction<Season> of) {
        return Percentiles.of(seasons.stream().mapToDouble(of).toArray());
    }

    /** 2001 and 2002 are no leap years, so that a day after midsummer is always the same day. */
    private static Optional<MonthDay> day(MonthDay midsummer, double after) {
        if (!Double.isFinite(after)) {
            return Optional.empty();
        }
        LocalDate found = midsummer.atYear(2001).plusDays(Math.round(after));
        return Optional.of(MonthDay.from(found));
    }
}
