package app.etlo.core.plan.timeline;

import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;

/** The days of a plan that weather is played over, with room for dates that weather decides. */
public record PlanSpan(LocalDate from, LocalDate to) {
    private static final int BACK_DAYS = 75;
    private static final int AHEAD_DAYS = 130;
    private static final int EMPTY_AHEAD_DAYS = 560;
    /** Room for dates that weather decides. */
    private static final int GROWING_DAYS = 460;
    /** A date farther off is a slip of the pen; weather is not played for it. */
    private static final int FAR_YEARS = 8;

    public static PlanSpan of(PlanDocument plan, LocalDate asOf) {
        LocalDate first = asOf.minusYears(FAR_YEARS);
        LocalDate last = asOf.plusYears(FAR_YEARS);
        List<LocalDate> days = plan.operations().stream()
                .flatMap(PlanSpan::day)
                .filter(d -> d.isAfter(first) && d.isBefore(last))
                .sorted()
                .toList();
        boolean open =
                plan.operations().stream().anyMatch(o -> o.when().degreeDays().isPresent());
        LocalDate from = days.isEmpty() || asOf.isBefore(days.get(0)) ? asOf : days.get(0);
        LocalDate to = days.isEmpty() || asOf.isAfter(days.get(days.size() - 1)) ? asOf : days.get(days.size() - 1);
        return new PlanSpan(
                from.minusDays(BACK_DAYS),
                to.plusDays(days.isEmpty() ? EMPTY_AHEAD_DAYS : open ? GROWING_DAYS : AHEAD_DAYS));
    }

    private static Stream<LocalDate> day(Operation o) {
        return o.when().on().or(() -> o.when().countedBack().map(c -> c.from())).stream();
    }

    public YearsAhead years(SiteWeather site, LocalDate asOf) {
        return new YearsAhead(site.climate(), site.forecast(), asOf, from, to);
    }
}
