package app.etlo.core.field;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The usual dates of the last spring and the first autumn frost. On the southern half of the earth the autumn date lies
 * early in the year; nothing here assumes which half it is.
 */
public record FrostDates(MonthDay lastSpring, MonthDay firstAutumn) {
    /** A sowing this close to the end of winter is a spring or frost sowing, not a late autumn one. */
    private static final int LATE_WINTER_DAYS = 75;

    /**
     * The autumn frost that bounds the growth of something sown on this day: the coming one while it is frost-free, the one
     * just past when sown into the cold. None when sown in late winter or spring, more than 240 days ahead of it.
     */
    public Optional<LocalDate> autumnFrostFor(LocalDate sown) {
        LocalDate previous = previousOrSame(firstAutumn, sown);
        LocalDate springAfter = next(lastSpring, previous);
        if (sown.isBefore(springAfter)) {
            boolean lateWinter = ChronoUnit.DAYS.between(sown, springAfter) < LATE_WINTER_DAYS;
            return lateWinter ? Optional.empty() : Optional.of(previous);
        }
        LocalDate coming = next(firstAutumn, sown);
        return ChronoUnit.DAYS.between(sown, coming) > 240 ? Optional.empty() : Optional.of(coming);
    }

    /** From an autumn's first frost to the last one of the spring after it. */
    public record ColdSeason(LocalDate firstFrost, LocalDate lastFrost) {}

    /** The cold seasons that touch a span of days, in time. */
    public List<ColdSeason> coldSeasons(LocalDate from, LocalDate to) {
        List<ColdSeason> found = new ArrayList<>();
        for (int year = from.getYear() - 1; year <= to.getYear(); year++) {
            LocalDate first = firstAutumn.atYear(year);
            LocalDate last = next(lastSpring, first);
            if (!first.isAfter(to) && !last.isBefore(from)) {
                found.add(new ColdSeason(first, last));
            }
        }
        return List.copyOf(found);
    }

    /** Whether a day lies between the usual first frost of autumn and the last of spring. */
    public boolean isFrosty(LocalDate day) {
        return !coldSeasons(day, day).isEmpty();
    }

    private static LocalDate previousOrSame(MonthDay day, LocalDate date) {
        LocalDate here = day.atYear(date.getYear());
        return here.isAfter(date) ? day.atYear(date.getYear() - 1) : here;
    }

    private static LocalDate next(MonthDay day, LocalDate date) {
        LocalDate here = day.atYear(date.getYear());
        return here.isAfter(date) ? here : day.atYear(date.getYear() + 1);
    }
}
