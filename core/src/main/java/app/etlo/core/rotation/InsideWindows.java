package app.etlo.core.rotation;

import app.etlo.core.weather.DegreeDays;
import app.etlo.core.weather.Percentiles;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The windows inside cash crops that the trade uses, each with the span in which it is sown. Corn's leaves are counted in degree
 * days (about 65 °C d to emergence, 45 a leaf; common practice); the other spans are common practice as days.
 */
public final class InsideWindows {
    private static final double EMERGENCE_DEGREE_DAYS = 65;
    private static final double LEAF_DEGREE_DAYS = 45;
    /** Without weather: V3 and V6 after planting. */
    private static final int V3_DAYS = 24;

    private static final int V6_DAYS = 38;
    private static final int EMERGENCE_DAYS = 9;
    /** Before harvest: from first yellow leaves until they drop. */
    private static final int YELLOW_DAYS = 38;

    private static final int LEAF_DROP_DAYS = 16;
    /** Before the usual last spring frost: nights still freeze the ground open, days still thaw it. */
    private static final int HONEYCOMB_FROM_DAYS = 65;

    private static final int HONEYCOMB_TO_DAYS = 28;
    private static final int SOWN_WITH_DAYS = 4;
    /** How long a cover may go on after the crop it was sown into when nothing follows yet. */
    private static final int OPEN_DAYS = 60;

    private final List<CropInTime> crops;
    private final Optional<YearsAhead> weather;
    private final Optional<MonthDay> lastSpringFrost;

    public InsideWindows(List<CropInTime> crops, Optional<YearsAhead> weather, Optional<MonthDay> lastSpringFrost) {
        this.crops = Window.inOrder(crops);
        this.weather = weather;
        this.lastSpringFrost = lastSpringFrost;
    }

    /** Every window that the crops admit, in time. */
    public List<Window> all() {
        List<Window> found = new ArrayList<>();
        for (int i = 0; i < crops.size(); i++) {
            CropInTime crop = crops.get(i);
            Optional<CropInTime> next = i + 1 < crops.size() ? Optional.of(crops.get(i + 1)) : Optional.empty();
            for (String kind : crop.crop().growing().windows()) {
                window(WindowKind.of(kind), crop, next).ifPresent(found::add);
            }
        }
        return List.copyOf(found);
    }

    private Optional<Window> window(WindowKind kind, CropInTime crop, Optional<CropInTime> next) {
        if (crop.harvested().isEmpty()) {
            return Optional.empty();
        }
        LocalDate planted = crop.planted().orElseThrow();
        LocalDate harvested = crop.harvested().orElseThrow();
        LocalDate to = kind == WindowKind.LIVING_MULCH
                ? harvested
                : next.flatMap(CropInTime::planted).orElse(harvested.plusDays(OPEN_DAYS));
        Optional<LocalDate[]> sown = switch (kind) {
            case INTERSEEDED ->
                Optional.of(new LocalDate[] {
                    corn(planted, EMERGENCE_DEGREE_DAYS + 3 * LEAF_DEGREE_DAYS, V3_DAYS),
                    corn(planted, EMERGENCE_DEGREE_DAYS + 6 * LEAF_DEGREE_DAYS, V6_DAYS)
                });
            case OVERSEEDED ->
                Optional.of(new LocalDate[] {harvested.minusDays(YELLOW_DAYS), harvested.minusDays(LEAF_DROP_DAYS)});
            case FROST_SEEDED -> honeycomb(planted, harvested);
            case COMPANION -> Optional.of(new LocalDate[] {planted, planted.plusDays(SOWN_WITH_DAYS)});
            case UNDERSOWN, LIVING_MULCH ->
                Optional.of(new LocalDate[] {planted, corn(planted, EMERGENCE_DEGREE_DAYS, EMERGENCE_DAYS)});
            case BETWEEN -> Optional.empty();
        };
        return sown.filter(s -> !s[0].isBefore(planted) && s[1].isBefore(harvested) && s[0].isBefore(to))
                .map(s -> Window.inside(kind, crop, next, s[0], s[1], to));
    }

    private LocalDate corn(LocalDate planted, double degreeDays, int days) {
        return weather.map(w -> Percentiles.of(w.daysTo(DegreeDays.CORN, planted, degreeDays))
                        .at(0.5))
                .filter(Double::isFinite)
                .map(d -> planted.plusDays(Math.round(d)))
                .orElse(planted.plusDays(days));
    }

    private Optional<LocalDate[]> honeycomb(LocalDate planted, LocalDate harvested) {
        return lastSpringFrost.flatMap(day -> {
            LocalDate last = day.atYear(harvested.getYear());
            LocalDate spring = last.isAfter(harvested) ? day.atYear(harvested.getYear() - 1) : last;
            LocalDate from = spring.minusDays(HONEYCOMB_FROM_DAYS);
            return from.isAfter(planted)
                    ? Optional.of(new LocalDate[] {from, spring.minusDays(HONEYCOMB_TO_DAYS)})
                    : Optional.empty();
        });
    }
}
