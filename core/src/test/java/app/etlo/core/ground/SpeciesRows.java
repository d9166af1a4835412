package app.etlo.core.ground;

import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.knowledge.Species;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.WeatherSeries;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/**
 * Each species of the library grown alone in three climates at its full rate, against its own row: dry tops, C:N and degree days at bloom, and
 * whether it lives through the winter.
 */
final class SpeciesRows {
    /** So far outside its row a value counts as outside: the row is for poor to good sites, the climates are three. */
    private static final double BELOW = 0.6;

    private static final double ABOVE = 1.5;
    private static final double DAYS_OFF = 0.35;
    private static final double ALIVE_OFF = 0.6;

    private static final double FED_KG_HA = 60;

    private SpeciesRows() {}

    /**
     * A value outside its row.
     *
     * @param what of mass, C:N, bloom and winter
     */
    record Outside(String species, String what, String place, String given, String row) {
        String line() {
            return "| " + species + " | " + what + " | " + place + " | " + given + " | " + row + " | " + why() + " |";
        }

        /** Why it is outside; empty where nobody has said. */
        String why() {
            return WHY.stream()
                    .filter(w -> w.what().equals(what) && species.matches(w.species()))
                    .map(Why::text)
                    .findFirst()
                    .orElse("");
        }
    }

    /**
     * @param species names, as an expression
     */
    private record Why(String what, String species, String text) {}

    private static final List<Why> WHY = List.of(
            new Why(
                    "lives through winter",
                    ".*barley|.*rape|Kale|.*plantain|.*turnip",
                    "the crown lies at the soil, warmer than the air under snow or by day"),
            new Why("bloom", "Yellow sweetclover", "a biennial: it blooms in the summer after its first whole one"),
            new Why("bloom", "Lablab|Velvetbean", "the season is too short for it; the row is of the south"),
            new Why("bloom", "Buckwheat", "the row counts to first flowers, the simulation to early bloom of most"),
            new Why(
                    "bloom",
                    ".*radish|.*mustard|.*barley|Alfalfa|Camelina",
                    "it waits for longer days or more cold than this sowing gives; the row is of long days"),
            new Why(
                    "C:N at bloom",
                    ".*radish|.*mustard|.*rape|Kale|.*turnip|.*chicory",
                    "a weakness: big stands of brassicas and herbs come out poorer in nitrogen than on the rich ground of the row"),
            new Why(
                    "C:N at bloom",
                    ".*millet|Teff|Squash.*",
                    "a weakness: small stands, derived from others, stay as rich as young ones"),
            new Why(
                    "dry tops at bloom",
                    ".*rape|Kale|.*turnip|Spinach.*|Oilseed flax",
                    "fed and in full bloom; the row is for what is ended earlier, or unfed"),
            new Why(
                    "dry tops at bloom",
                    "Spring field pea|Mung bean",
                    "a weakness: slow to close, and early to bloom"));

    private record Sown(Climate climate, String place, String on, String until) {}

    private static final List<Sown> AUTUMN = List.of(
            new Sown(Trials.AT_36, "36° N", "2025-09-20", "2026-07-20"),
            new Sown(Trials.NORTH, "43° N", "2025-08-25", "2026-07-30"),
            new Sown(Trials.MARITIME, "52° N, maritime", "2025-09-01", "2026-07-30"));

    private static final List<Sown> SPRING = List.of(
            new Sown(Trials.AT_36, "36° N", "2026-03-20", "2026-08-15"),
            new Sown(Trials.NORTH, "43° N", "2026-04-25", "2026-09-15"),
            new Sown(Trials.MARITIME, "52° N, maritime", "2026-04-05", "2026-09-15"));

    private static final List<Sown> SUMMER = List.of(
            new Sown(Trials.SOUTH, "33° N", "2026-05-15", "2026-10-10"),
            new Sown(Trials.AT_36, "36° N", "2026-05-25", "2026-10-10"),
            new Sown(Trials.NORTH, "43° N", "2026-06-05", "2026-10-01"));

    static List<Outside> all() {
        List<Outside> found = new ArrayList<>();
        for (Species s : Trials.KNOWLEDGE.species().all()) {
            seasons(s).forEach(w -> look(s, w, found));
        }
        return found;
    }

    private static List<Sown> seasons(Species s) {
        if (s.group().id().startsWith("warm") || s.growth().minSoilC() >= 10) {
            return SUMMER;
        }
        return overWinters(s) ? AUTUMN : SPRING;
    }

    private static boolean overWinters(Species s) {
        return s.growth().lifeCycle().contains("winter")
                || s.growth().isBiennial()
                || s.growth().isPerennial();
    }

    private static void look(Species s, Sown w, List<Outside> found) {
        double plants = 0.75 * s.fullRateKgHa().middle() * s.seedsPerKg().middle() / 1e4;
        Trials t = Trials.at(w.climate(), w.on(), w.until()).sow(s.id(), plants, w.on());
        if (!s.group().isLegume()) {
            // handbooks speak of ground that is not poor
            t.feed(overWinters(s) ? "2026-03-15" : w.on(), FED_KG_HA);
        }
        Trials.Grown g = t.run();
        GroundCourse c = g.course();
        if (overWinters(s)) {
            double alive = g.alive(0, "2026-04-01");
            double mild = mild(w, s.killC());
            if (Math.abs(alive - mild) > ALIVE_OFF) {
                found.add(new Outside(
                        s.name(),
                        "lives through winter",
                        w.place(),
                        percent(alive) + " of years",
                        percent(mild) + " of years warmer than " + s.killC() + " °C"));
            }
            if (alive < 0.5) {
                return;
            }
        }
        int bloom = IntStream.range(0, c.records())
                .filter(r -> middle(c.plant(r, 0, OfPlant.REACHED_STAGE)) >= 1)
                .findFirst()
                .orElse(-1);
        if (bloom < 0) {
            found.add(new Outside(
                    s.name(),
                    "bloom",
                    w.place(),
                    "none by " + w.until(),
                    say(s.growth().floweringDegreeDays()) + " °C d"));
            return;
        }
        double sum = degreeDays(w, s.baseC(), c.recordedDay(bloom));
        if (Math.abs(sum / s.growth().floweringDegreeDays() - 1) > DAYS_OFF) {
            found.add(new Outside(
                    s.name(),
                    "bloom",
                    w.place(),
                    say(sum) + " °C d",
                    say(s.growth().floweringDegreeDays()) + " °C d"));
        }
        double tHa = middle(c.plant(bloom, 0, OfPlant.PEAK_KG_HA)) / 1000;
        double low = BELOW * s.growth().massTHa().low();
        double high = ABOVE * s.growth().massTHa().high();
        if (tHa < low || tHa > high) {
            found.add(new Outside(
                    s.name(),
                    "dry tops at bloom",
                    w.place(),
                    say(tHa) + " t/ha",
                    say(s.growth().massTHa().low()) + " to "
                            + say(s.growth().massTHa().high()) + " t/ha"));
        }
        double cn = 430 * tHa / middle(c.plant(bloom, 0, OfPlant.PEAK_NITROGEN_KG_HA));
        double row = s.growth().flowering().carbonToNitrogen();
        if (cn < BELOW * row || cn > ABOVE * row) {
            found.add(new Outside(s.name(), "C:N at bloom", w.place(), say(cn), say(row)));
        }
    }

    private static double middle(double[] years) {
        return GroundCourse.band(years).middle();
    }

    /** Share of the winters in which no night is colder. */
    private static double mild(Sown w, double killC) {
        WeatherSeries series = w.climate().series();
        int years = 0;
        int mild = 0;
        for (int y = 1997; y < 1996 + Trials.YEARS; y++) {
            LocalDate first = LocalDate.of(y - 1, 11, 1);
            double coldest = IntStream.range(0, 150)
                    .map(i -> series.index(first.plusDays(i)))
                    .mapToDouble(series::tminC)
                    .min()
                    .orElseThrow();
            years++;
            mild += coldest > killC ? 1 : 0;
        }
        return (double) mild / years;
    }

    private static double degreeDays(Sown w, double baseC, int days) {
        WeatherSeries series = w.climate().series();
        double sum = 0;
        int years = 0;
        for (int y = 1996; y < 1995 + Trials.YEARS; y++) {
            int first = series.index(LocalDate.parse(w.on()).withYear(y));
            years++;
            for (int i = 0; i < days && first + i < series.days(); i++) {
                sum += Math.max(0, (series.tminC(first + i) + series.tmaxC(first + i)) / 2 - baseC);
            }
        }
        return sum / years;
    }

    private static String say(double v) {
        return String.format(Locale.ROOT, v >= 100 ? "%.0f" : "%.1f", v);
    }

    private static String percent(double share) {
        return Math.round(share * 100) + " %";
    }

    public static void main(String[] args) {
        all().forEach(o -> System.out.println(o.line()));
    }
}
