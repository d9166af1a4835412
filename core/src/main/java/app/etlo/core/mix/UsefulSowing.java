package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * The latest useful sowing of a species in a window: the last day from which it still grows to a useful stand before the window ends,
 * sown alone into the plan's own ground and simulated. Looked for by weeks; between two of them by the share of years.
 *
 * @param half the last day from which half of the years reach it
 * @param mostYears the last day from which 8 years in 10 do: the latest useful day
 * @param nearlyAll the last day from which 9 in 10 do
 * @param years how many years reach it from the window's first day
 * @param allYears how many years were looked at
 */
public record UsefulSowing(
        Species species,
        Optional<LocalDate> half,
        Optional<LocalDate> mostYears,
        Optional<LocalDate> nearlyAll,
        int years,
        int allYears,
        Optional<Figure> figure) {
    private static final Formula LATEST = Formula.of(
            "Latest useful sowing",
            "start + later",
            Source.own("the ground simulation, sown week by week: docs/simulation.md"),
            "start",
            "later");
    private static final int WEEK = 7;

    /**
     * In a window.
     *
     * @param from its first day
     * @param sowUntil last day its kind allows sowing, not before the first
     * @param grow what it comes to when it is sown on a day
     * @param id of the figure
     */
    public static UsefulSowing of(
            Species s, LocalDate from, LocalDate sowUntil, Function<LocalDate, SeasonGrowth> grow, String id) {
        Search search = new Search(from, sowUntil, grow);
        Optional<LocalDate> most = search.lastWith(0.8);
        Optional<LocalDate> half = search.lastWith(0.5);
        Optional<LocalDate> nearly = search.lastWith(0.9);
        return new UsefulSowing(
                s,
                half,
                most,
                nearly,
                (int) Math.round(search.share(from) * search.years),
                search.years,
                most.map(day -> figure(s, from, nearly.orElse(from), day, half.orElse(day), id)));
    }

    /** Share of the years by sowing day, computed where it is asked for. */
    private static final class Search {
        private final LocalDate from;
        private final LocalDate until;
        private final Function<LocalDate, SeasonGrowth> grow;
        private final TreeMap<LocalDate, Double> shares = new TreeMap<>();
        private int years;

        Search(LocalDate from, LocalDate until, Function<LocalDate, SeasonGrowth> grow) {
            this.from = from;
            this.until = until.isBefore(from) ? from : until;
            this.grow = grow;
        }

        double share(LocalDate day) {
            return shares.computeIfAbsent(day, d -> {
                SeasonGrowth g = grow.apply(d);
                years = g.years();
                return years == 0 ? 0.0 : (double) g.yearsReaching(UsefulYears.USEFUL_KG_HA) / years;
            });
        }

        Optional<LocalDate> lastWith(double wanted) {
            if (share(from) < wanted) {
                return Optional.empty();
            }
            if (share(until) >= wanted) {
                return Optional.of(until);
            }
            LocalDate good = from;
            LocalDate bad = until;
            while (ChronoUnit.DAYS.between(good, bad) > WEEK) {
                long weeks = Math.max(1, ChronoUnit.DAYS.between(good, bad) / (2 * WEEK));
                LocalDate middle = good.plusDays(weeks * WEEK);
                if (share(middle) >= wanted) {
                    good = middle;
                } else {
                    bad = middle;
                }
            }
            double above = share(good);
            double below = share(bad);
            return Optional.of(
                    good.plusDays((long) (ChronoUnit.DAYS.between(good, bad) * (above - wanted) / (above - below))));
        }
    }

    private static Figure figure(
            Species s, LocalDate from, LocalDate nearly, LocalDate most, LocalDate half, String id) {
        double middle = ChronoUnit.DAYS.between(from, most);
        return LATEST.remarking("Middle: 8 years in 10 grow to "
                        + Said.of(UsefulYears.USEFUL_KG_HA / 1000, Unit.T_PER_HA)
                        + " before the window ends. Band: from 9 years in 10 to half of them.")
                .figure(
                        id,
                        "Latest useful sowing of " + s.name().toLowerCase(Locale.ROOT),
                        Unit.DATE,
                        Input.of(
                                "start",
                                "First day of the window",
                                from.toEpochDay(),
                                Unit.DATE,
                                Origin.ENTERED,
                                "rotation"),
                        Input.banded(
                                "later",
                                "Days after it",
                                new Band(
                                        Math.min(middle, ChronoUnit.DAYS.between(from, nearly)),
                                        middle,
                                        Math.max(middle, ChronoUnit.DAYS.between(from, half))),
                                Unit.DAY,
                                Origin.FORECAST,
                                "simulated in all weather years"));
    }
}
