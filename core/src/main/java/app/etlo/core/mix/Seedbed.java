package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the seed meets on its day, over the weather years: soil colder than a species germinates in, and too little rain to wet
 * the seed zone.
 *
 * @param coldPercent share of the years in which the soil is too cold, by species
 * @param dryPercent share of the years without a wetting rain soon after
 */
public record Seedbed(Map<String, Figure> coldPercent, Figure dryPercent) implements Figured {
    /** Rain that wets the seed zone. */
    public static final double WETTING_MM = 10;
    /** It must fall in so many days. */
    public static final int WAIT_DAYS = 10;

    private static final Formula SHARE =
            Formula.of("Share of the weather years", "years / all * 100", Source.identity("a share"), "years", "all");

    /**
     * @param soilC temperature of the ground in the days after, by weather year; empty where it is not simulated
     */
    public static Seedbed of(
            String prefix, LocalDate sown, List<Species> species, YearsAhead years, Optional<double[]> soilC) {
        int day = years.day(sown);
        Map<String, Figure> cold = new LinkedHashMap<>();
        soilC.ifPresent(byYear -> species.forEach(s -> cold.put(
                s.id(),
                share(
                        prefix + "/" + s.id() + "/coldPercent",
                        "Years with soil under " + Said.of(Math.round(s.growth().minSoilC()), Unit.CELSIUS) + ", "
                                + s.name(),
                        (int) Arrays.stream(byYear)
                                .filter(c -> c < s.growth().minSoilC())
                                .count(),
                        byYear.length))));
        return new Seedbed(
                Map.copyOf(cold),
                share(
                        prefix + "/dryPercent",
                        "Years with under " + Said.of(Math.round(WETTING_MM), Unit.MILLIMETRE) + " in the " + WAIT_DAYS
                                + " days after sowing",
                        dryYears(years, day),
                        years.count()));
    }

    private static int dryYears(YearsAhead years, int day) {
        int n = 0;
        for (int y = 0; y < years.count(); y++) {
            double mm = 0;
            for (int d = day; d < Math.min(years.days(), day + WAIT_DAYS); d++) {
                mm += years.rainMm(y, d);
            }
            n += mm < WETTING_MM ? 1 : 0;
        }
        return n;
    }

    private static Figure share(String id, String label, int some, int all) {
        return SHARE.figure(
                id,
                label,
                Unit.PERCENT,
                Input.of("years", "Years of which it is so", some, Unit.COUNT, Origin.FORECAST, "weather record"),
                Input.of("all", "Weather years", all, Unit.COUNT, Origin.FORECAST, "weather record"));
    }

    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>(coldPercent.values());
        all.add(dryPercent);
        return all;
    }
}
