package app.etlo.core.ground;

import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.weather.Climate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;

/**
 * What is expected of the simulation in matching climates, and what it gives. Expectations are common practice and extension tables,
 * from memory. Those that numbers were tuned on are marked; the others were never tuned on.
 */
record Check(String what, String unit, double low, double high, boolean tuned, String source, Supplier<Double> given) {

    private static final String PRACTICE = "common practice and extension tables";

    boolean holds() {
        double v = given.get();
        return v >= low && v <= high;
    }

    String row() {
        double v = given.get();
        String form = Math.abs(high) < 3 ? "%.2f" : Math.abs(high) < 30 ? "%.1f" : "%.0f";
        return String.format(
                Locale.ROOT,
                "| %s | %s to %s %s | " + form + "%s | %s | %s |",
                what,
                number(low),
                number(high),
                unit,
                v,
                v >= low && v <= high ? "" : ", missed",
                tuned ? "tuned" : "never tuned",
                source);
    }

    private static String number(double v) {
        return v == Math.rint(v) ? String.valueOf((long) v) : String.valueOf(v);
    }

    private static Check tuned(String what, String unit, double low, double high, Supplier<Double> given) {
        return new Check(what, unit, low, high, true, PRACTICE, given);
    }

    private static Check never(String what, String unit, double low, double high, Supplier<Double> given) {
        return new Check(what, unit, low, high, false, PRACTICE, given);
    }

    private static Trials.Grown rye(Climate climate, String year, String sown) {
        int y = Integer.parseInt(year);
        return Trials.at(climate, y + "-09-01", (y + 1) + "-07-15")
                .sow("cereal-rye", 220, y + "-" + sown)
                .run();
    }

    private static double survivors(Trials.Grown g, String date) {
        double[] stand = g.course().plant(g.at(date), 0, OfPlant.STAND);
        double n = 0;
        for (double s : stand) {
            n += s > 0.3 ? 1 : 0;
        }
        return n / stand.length;
    }

    /** Middle day of the year on which a stage is reached, from weekly records. */
    private static double dayOfStage(Trials.Grown g, double stage, String from) {
        double[] days = new double[g.course().members()];
        int start = g.trial().day(from);
        for (int m = 0; m < days.length; m++) {
            days[m] = 400;
            for (int r = 0; r < g.course().recordedDays().length; r++) {
                int day = g.course().recordedDays()[r];
                if (day >= start && g.course().plant(r, 0, OfPlant.STAGE, m) >= stage) {
                    double before = g.course().plant(r - 1, 0, OfPlant.STAGE, m);
                    double now = g.course().plant(r, 0, OfPlant.STAGE, m);
                    days[m] = day - 7 * (now - stage) / (now - before);
                    break;
                }
            }
        }
        return GroundCourse.band(days).middle() - start;
    }

    /** Middle mass on the first record on which the middle height is reached, t/ha. */
    private static double massAtHeight(Trials.Grown g, double heightM) {
        for (int r = 0; r < g.course().recordedDays().length; r++) {
            if (GroundCourse.band(g.course().plant(r, 0, OfPlant.HEIGHT_M)).middle() >= heightM) {
                return GroundCourse.band(g.course().plant(r, 0, OfPlant.MASS_KG_HA))
                                .middle()
                        / 1000;
            }
        }
        return 0;
    }

    static List<Check> all() {
        List<Check> c = new ArrayList<>();
        Trials.Grown rye = rye(Trials.NORTH, "2025", "09-15");
        c.add(tuned(
                "rye sown 15 September at 43° N, at anthesis (25 May)", "t/ha", 9, 11, () -> rye.tHa(0, "2026-05-26")));
        c.add(tuned("the same, anthesis in days after 1 May", "d", 14, 31, () -> dayOfStage(rye, 1, "2026-05-01")));
        c.add(tuned("the same, when it is 20 cm high", "t/ha", 0.7, 1.5, () -> massAtHeight(rye, 0.2)));
        c.add(tuned(
                "the same, depth of roots 39 days after sowing",
                "m",
                0.5,
                0.7,
                () -> rye.middle(0, OfPlant.ROOT_M, "2025-10-24")));
        c.add(tuned("the same, in December", "m", 0.8, 1.2, () -> rye.middle(0, OfPlant.ROOT_M, "2025-12-05")));
        Trials.Grown late = rye(Trials.NORTH, "2025", "10-25");
        c.add(tuned("rye sown 25 October at 43° N, at anthesis", "t/ha", 3, 5, () -> late.tHa(0, "2026-05-27")));
        Trials.Grown vetch = Trials.north("2025-08-01", "2026-07-15")
                .sow("hairy-vetch", 70, "2025-08-25")
                .run();
        c.add(tuned("hairy vetch at 43° N, early bloom", "t/ha", 4, 6, () -> vetch.tHa(0, "2026-06-02")));
        c.add(tuned("the same, nitrogen in tops", "kg/ha", 130, 200, () -> vetch.nitrogen(0, "2026-06-02")));
        Trials.Grown radish = Trials.north("2025-08-01", "2026-07-15")
                .sow("daikon-radish", 70, "2025-08-15")
                .run();
        c.add(tuned("radish sown 15 August at 43° N, before winter", "t/ha", 3, 6, () -> radish.tHa(0, "2025-11-05")));
        c.add(tuned(
                "the same, share of years in which it lives in March",
                "",
                0,
                0.1,
                () -> survivors(radish, "2026-03-15")));
        Trials.Grown radishLate = Trials.north("2025-08-01", "2026-07-15")
                .sow("daikon-radish", 70, "2025-09-25")
                .run();
        c.add(tuned("radish sown 25 September at 43° N", "t/ha", 0, 0.6, () -> radishLate.tHa(0, "2025-11-05")));
        Trials.Grown buckwheat = Trials.north("2025-05-01", "2025-12-15")
                .sow("buckwheat", 180, "2025-06-15")
                .run();
        c.add(tuned("buckwheat at 43° N in 7 weeks", "t/ha", 3, 5, () -> buckwheat.tHa(0, "2025-08-03")));
        Trials.Grown sunnHemp = Trials.south("2025-05-01", "2025-12-15")
                .sow("sunn-hemp", 90, "2025-06-10")
                .run();
        c.add(tuned("sunn hemp at 33° N in 60 days", "t/ha", 5, 7, () -> sunnHemp.tHa(0, "2025-08-09")));
        c.add(tuned("the same, nitrogen in tops", "kg/ha", 110, 135, () -> sunnHemp.nitrogen(0, "2025-08-09")));
        Trials.Grown cowpea = Trials.south("2025-05-01", "2025-12-15")
                .sow("cowpea", 35, "2025-06-10")
                .run();
        c.add(tuned(
                "cowpea at 33° N in 9 weeks, nitrogen in tops",
                "kg/ha",
                100,
                135,
                () -> cowpea.nitrogen(0, "2025-08-12")));
        Trials.Grown frostSeeded = frostSeeded();
        c.add(tuned(
                "red clover frost-seeded into wheat at 43° N, nitrogen at season's end",
                "kg/ha",
                60,
                95,
                () -> frostSeeded.nitrogen(1, "2025-10-20")));
        c.add(tuned(
                "hairy vetch at 43° N, share of years in which it winters",
                "",
                0.9,
                1,
                () -> survivors(vetch, "2026-04-15")));
        Trials.Grown corn = Trials.north("2025-04-01", "2025-12-15")
                .sowCrop("grain-corn", 7.5, "2025-05-08")
                .feed("2025-06-10", 160)
                .run();
        c.add(tuned(
                "corn at 43° N with 160 kg N, dry tops in September", "t/ha", 11, 20, () -> corn.tHa(0, "2025-09-15")));
        Trials.Grown soybean = Trials.north("2025-04-01", "2025-12-15")
                .sowCrop("soybean", 32, "2025-05-15")
                .run();
        c.add(tuned("soybean at 43° N, dry tops in mid September", "t/ha", 6, 10, () -> soybean.tHa(0, "2025-09-15")));
        neverTuned(c, rye);
        return c;
    }

    private static Trials.Grown frostSeeded() {
        Trials t = Trials.north("2024-09-01", "2025-12-15")
                .sowCrop("winter-wheat", 300, "2024-09-28")
                .feed("2025-04-10", 100)
                .sow(Trials.plant("red-clover"), 120, "2025-03-15", true);
        return t.event(new GroundEvent.Harvest(t.day("2025-07-20"), "h", 0, 0.45, 0.75, 0.5))
                .run();
    }

    private static void neverTuned(List<Check> c, Trials.Grown rye) {
        Trials.Grown south = rye(Trials.SOUTH, "2025", "10-15");
        c.add(never("rye sown 15 October at 33° N, at anthesis", "t/ha", 6, 13, () -> south.tHa(0, "2026-04-18")));
        c.add(never("the same, anthesis in days after 1 April", "d", 0, 30, () -> dayOfStage(south, 1, "2026-04-01")));
        c.add(never("C:N of rye at 43° N in mid April", "", 10, 20, () -> rye.cn(0, "2026-04-15")));
        c.add(never("C:N of rye at 43° N in early May", "", 20, 35, () -> rye.cn(0, "2026-05-05")));
        c.add(never("C:N of rye at 43° N at anthesis", "", 35, 50, () -> rye.cn(0, "2026-05-26")));
        Trials.Grown sunnHemp = Trials.north("2025-05-01", "2025-12-15")
                .sow("sunn-hemp", 90, "2025-06-10")
                .run();
        c.add(never("sunn hemp at 43° N in 60 days", "t/ha", 3, 6, () -> sunnHemp.tHa(0, "2025-08-09")));
        Trials.Grown mix = Trials.north("2025-08-01", "2026-07-15")
                .sow("cereal-rye", 110, "2025-09-05")
                .sow("hairy-vetch", 50, "2025-09-05")
                .run();
        c.add(never(
                "rye and vetch at 43° N, share of vetch in May",
                "",
                0.1,
                0.5,
                () -> mix.tHa(1, "2026-05-26") / (mix.tHa(0, "2026-05-26") + mix.tHa(1, "2026-05-26"))));
        c.add(never(
                "the same, C:N of the two together below rye's own",
                "",
                15,
                45,
                () -> 430
                        * (mix.tHa(0, "2026-05-26") + mix.tHa(1, "2026-05-26"))
                        / (mix.nitrogen(0, "2026-05-26") + mix.nitrogen(1, "2026-05-26"))));
        Trials.Grown pair = Trials.north("2025-08-01", "2026-07-15")
                .sow("spring-oats", 110, "2025-08-15")
                .sow("daikon-radish", 25, "2025-08-15")
                .run();
        c.add(never(
                "oats and radish at 43° N, share of radish in late October",
                "",
                0.3,
                0.7,
                () -> pair.tHa(1, "2025-10-28") / (pair.tHa(0, "2025-10-28") + pair.tHa(1, "2025-10-28"))));
        Climate second = Trials.station("tarrow-ridge", 1960);
        Trials.Grown again = rye(second, "1990", "09-15");
        c.add(never(
                "rye sown 15 September at 43° N, other weather, at anthesis",
                "t/ha",
                8,
                11.5,
                () -> again.tHa(0, "1991-05-26")));
        Trials.Grown wheat = Trials.north("2024-09-01", "2025-12-15")
                .sowCrop("winter-wheat", 300, "2024-09-28")
                .feed("2025-04-10", 100)
                .run();
        c.add(never(
                "winter wheat at 43° N with 100 kg N, dry tops in mid June",
                "t/ha",
                8,
                14,
                () -> wheat.tHa(0, "2025-06-18")));
        Trials.Grown crimson = Trials.south("2025-09-01", "2026-07-15")
                .sow("crimson-clover", 300, "2025-09-25")
                .run();
        c.add(never("crimson clover at 33° N, in bloom", "t/ha", 3, 8, () -> crimson.tHa(0, "2026-04-15")));
    }
}
