package app.etlo.core.plan.timeline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.mix.UsefulYears;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.asked.LatestSowings;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.shown.ChapterViews.LatestView;
import app.etlo.core.plan.shown.ClimateView;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.rotation.Window;
import app.etlo.core.rotation.WindowKind;
import app.etlo.core.rotation.WindowResult;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Windows of every kind, what they offer, and the latest useful sowing in them. */
class WindowsTest {
    private static Window one(Evaluated e, WindowKind kind) {
        return e.windows().stream()
                .map(WindowResult::window)
                .filter(w -> w.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    private static Evaluated cornThenBeans() {
        return FieldPlans.of()
                .crop("grain-corn", "2027-05-06", "2027-10-12")
                .crop("soybean", "2028-05-14", "2028-10-02")
                .evaluated();
    }

    @Test
    void corn_is_interseeded_from_its_third_to_its_sixth_leaf_some_five_weeks_after_planting() {
        Window w = one(cornThenBeans(), WindowKind.INTERSEEDED);
        assertThat(w.from()).isBetween(LocalDate.of(2027, 5, 24), LocalDate.of(2027, 6, 12));
        assertThat(w.sowUntil()).isBetween(w.from().plusDays(8), w.from().plusDays(25));
        assertThat(w.to()).isEqualTo(LocalDate.of(2028, 5, 14));
    }

    @Test
    void wheat_is_frost_seeded_while_nights_still_freeze() {
        Evaluated e = FieldPlans.of()
                .crop("winter-wheat", "2026-10-04", "2027-07-18")
                .crop("grain-corn", "2028-05-08", "2028-10-15")
                .evaluated();
        Window w = one(e, WindowKind.FROST_SEEDED);
        assertThat(w.from()).isBetween(LocalDate.of(2027, 2, 1), LocalDate.of(2027, 3, 10));
        assertThat(w.sowUntil()).isBefore(LocalDate.of(2027, 4, 15));
    }

    @Test
    void spring_cereals_silage_corn_and_leys_have_windows_of_their_own() {
        Evaluated e = FieldPlans.of()
                .crop("spring-barley", "2027-04-05", "2027-07-25")
                .crop("silage-corn", "2028-05-05", "2028-09-10")
                .evaluated();
        assertThat(one(e, WindowKind.COMPANION).from()).isEqualTo(LocalDate.of(2027, 4, 5));
        Window undersown = one(e, WindowKind.UNDERSOWN);
        assertThat(undersown.from()).isEqualTo(LocalDate.of(2028, 5, 5));
        assertThat(undersown.sowUntil()).isBetween(LocalDate.of(2028, 5, 9), LocalDate.of(2028, 5, 22));
        assertThat(one(e, WindowKind.LIVING_MULCH).to()).isEqualTo(LocalDate.of(2028, 9, 10));
        assertThat(e.figures()).containsKey("window/undersown-c2/light");
    }

    @Test
    void turnaround_days_open_a_window_later() {
        Evaluated now = cornThenBeans();
        String text = FieldPlans.of()
                .crop("grain-corn", "2027-05-06", "2027-10-12")
                .crop("soybean", "2028-05-14", "2028-10-02")
                .text()
                .replace("{\"id\":\"c1\",", "{\"id\":\"c1\",\"turnaroundDays\":6,");
        Dossier d = Plans.read(text);
        Evaluated later = new Evaluator(Plans.KNOWLEDGE).evaluate(d.plan(), d.context(), FieldPlans.AS_OF);
        double days = now.figures().get("window/c2/days").middle();
        assertThat(later.figures().get("window/c2/days").middle()).isEqualTo(days - 6);
        assertThat(later.figures().get("window/c2/degreeDays").middle())
                .isLessThan(now.figures().get("window/c2/degreeDays").middle());
    }

    /** Day by day, with the plainest arithmetic. */
    @Test
    void degree_days_and_frosts_agree_with_a_count_by_hand() {
        Evaluated e = cornThenBeans();
        YearsAhead years = e.years().orElseThrow();
        int a = years.day(LocalDate.of(2027, 10, 12));
        int b = years.day(LocalDate.of(2028, 5, 14));
        double[] sums = new double[years.count()];
        double[] first = new double[years.count()];
        for (int y = 0; y < sums.length; y++) {
            first[y] = Double.NaN;
            for (int d = a; d < b; d++) {
                double mean = (years.tminC(y, d) + years.tmaxC(y, d)) / 2;
                sums[y] += mean > 4 ? mean - 4 : 0;
                if (Double.isNaN(first[y]) && years.tminC(y, d) < 0) {
                    first[y] = d - a;
                }
            }
        }
        Figure warmth = e.figures().get("window/c2/degreeDays");
        Arrays.sort(sums);
        assertThat(warmth.value().low()).isCloseTo(sums[2] + 0.9 * (sums[3] - sums[2]), within(1e-6));
        assertThat(warmth.value().high()).isCloseTo(sums[26] + 0.1 * (sums[27] - sums[26]), within(1e-6));
        // the middle is that of one named year, the one nearest the median
        assertThat(Math.min(Math.abs(warmth.middle() - sums[14]), Math.abs(warmth.middle() - sums[15])))
                .isLessThan(1e-6);
        Arrays.sort(first);
        LocalDate frost = LocalDate.ofEpochDay(
                Math.round(e.figures().get("window/c2/firstFrost").middle()));
        assertThat((double) frost.toEpochDay() - LocalDate.of(2027, 10, 12).toEpochDay())
                .isBetween(first[14] - 1, first[15] + 1);
    }

    /** In every station and kind of window, so that a date in the middle has its band in its own season. */
    @Test
    void a_band_of_frosts_never_mixes_spring_and_autumn() {
        for (String station : List.of("tarrow-ridge", "vennick-plain", "ochremead", "karrel-downs")) {
            Evaluated e = FieldPlans.of()
                    .field("\"station\":\"" + station + "\"")
                    .crop("winter-wheat", "2026-10-01", "2027-07-12")
                    .crop("grain-corn", "2028-05-05", "2028-10-10")
                    .crop("soybean", "2029-05-14", "2029-10-02")
                    .evaluated();
            List<Figure> frosts = e.figures().values().stream()
                    .filter(f -> f.id().endsWith("Frost") && f.id().startsWith("window/"))
                    .toList();
            assertThat(frosts)
                    .as(station)
                    .isNotEmpty()
                    .allSatisfy(f -> assertThat(f.value().high() - f.value().low())
                            .as(station + " " + f.id())
                            .isLessThan(100));
        }
    }

    @Test
    void hardier_and_faster_species_may_be_sown_later() {
        Evaluated e = FieldPlans.of()
                .crop("winter-wheat", "2026-10-04", "2027-07-18")
                .crop("soybean", "2028-05-14", "2028-10-02")
                .cover("v1", "before", "c2", "", "cereal-rye", "hairy-vetch", "cowpea")
                .operation("sow", "v1", "2027-08-01", "")
                .evaluated();
        List<LatestView> u = LatestSowings.ofCover(e, "v1").species();
        assertThat(u).hasSize(3);
        LocalDate rye = u.get(0).mostYears().orElseThrow();
        LocalDate vetch = u.get(1).mostYears().orElseThrow();
        LocalDate cowpea = u.get(2).mostYears().orElseThrow();
        assertThat(rye).isAfter(vetch);
        assertThat(vetch).isAfter(cowpea);
        assertThat(rye).isBetween(LocalDate.of(2027, 9, 20), LocalDate.of(2027, 11, 10));
        u.forEach(x -> {
            assertThat(x.nearlyAll().orElseThrow())
                    .isBeforeOrEqualTo(x.mostYears().orElseThrow());
            assertThat(x.mostYears().orElseThrow()).isBeforeOrEqualTo(x.half().orElseThrow());
            assertThat(x.mostYears().orElseThrow().toEpochDay())
                    .isEqualTo(Math.round(LatestSowings.figure(e, x.figureId().orElseThrow())
                            .orElseThrow()
                            .middle()));
        });
    }

    @Test
    void a_window_too_short_for_a_species_says_in_how_many_years_it_is_not() {
        Evaluated e = FieldPlans.of()
                .crop("grain-corn", "2027-05-06", "2027-11-10")
                .crop("soybean", "2028-05-01", "2028-10-02")
                .cover("v1", "before", "c2", "", "sorghum-sudangrass")
                .operation("sow", "v1", "2027-11-12", "")
                .evaluated();
        assertThat(LatestSowings.ofCover(e, "v1").species().get(0).mostYears()).isEmpty();
        assertThat(e.covers().get(0).mix().useful())
                .hasValue(new UsefulYears(0, e.years().orElseThrow().count()));
        assertThat(e.notes())
                .anyMatch(n -> n.rule().equals("sown-after-latest-date")
                        && n.text().matches(".* in none of \\d+ weather years.*"));
        // one note for one matter
        assertThat(e.notes()).noneMatch(n -> n.rule().equals("mix-no-useful-stand"));
    }

    @Test
    void decisions_are_counted_back_from_the_sowing() {
        Evaluated e = FieldPlans.of()
                .crop("winter-wheat", "2026-10-04", "2027-07-18")
                .crop("soybean", "2028-05-14", "2028-10-02")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .operation("sow", "v1", "2027-08-20", "")
                .evaluated();
        assertThat(e.calendar())
                .extracting(d -> d.what() + " " + d.by())
                .startsWith("order seed 2027-07-30", "book the drill 2027-08-06");
        Figure capacity = e.figures().get("sow/v1/drillCapacity");
        double days = e.figures().get("sow/v1/drillDays").middle();
        assertThat(capacity.middle()).isCloseTo(days * 14, within(1e-9));
    }

    @Test
    void species_of_a_whole_library_are_told_for_a_window_longest_first() {
        var all = LatestSowings.of(cornThenBeans(), "c1-c2");
        assertThat(all).hasSameSizeAs(Plans.KNOWLEDGE.species().all());
        List<LocalDate> days = all.stream().flatMap(v -> v.mostYears().stream()).toList();
        for (int i = 1; i < days.size(); i++) {
            assertThat(days.get(i)).isBeforeOrEqualTo(days.get(i - 1));
        }
        Evaluated nowhere = FieldPlans.of()
                .field("\"texture\":\"loam\"")
                .crop("grain-corn", "2027-05-06", "2027-10-12")
                .crop("soybean", "2028-05-14", "2028-10-02")
                .evaluated();
        assertThatThrownBy(() -> LatestSowings.of(nowhere, "c1-c2")).hasMessageContaining("where the field lies");
    }

    @Test
    void the_ribbon_has_a_week_for_each_week_of_the_section() {
        var section = EvaluationWriter.write(cornThenBeans()).section().orElseThrow();
        long weeks = java.time.temporal.ChronoUnit.WEEKS.between(section.from(), section.to());
        var w = section.weather().orElseThrow();
        assertThat(w.rainMm()).hasSize((int) weeks);
        assertThat(w.recordedWeeks()).isZero();
        for (int i = 0; i < weeks; i++) {
            assertThat(w.meanLowC10().get(i)).isLessThanOrEqualTo(w.meanC10().get(i));
            assertThat(w.meanC10().get(i)).isLessThanOrEqualTo(w.meanHighC10().get(i));
            assertThat(w.rainMm().get(i)).isLessThanOrEqualTo(w.rainHighMm().get(i));
            assertThat(w.frostPercent().get(i)).isBetween(0, 100);
        }
    }

    @Test
    void beyond_the_polar_circle_everything_is_still_worked_out() {
        Evaluated e = FieldPlans.of()
                .field("\"point\":{\"lat\":78.2,\"lon\":15}")
                .crop("spring-barley", "2027-05-20", "{\"degreeDays\":{}}")
                .crop("oats", "2028-05-20", "2028-09-10")
                .evaluated();
        assertThat(e.site().orElseThrow().origin().id()).isEqualTo("default");
        assertThat(EvaluationWriter.write(e).windows()).isNotEmpty();
    }

    private static double drillDays(Evaluated e) {
        Window w = one(e, WindowKind.BETWEEN);
        return e.figures().get(w.figures() + "/drillDays").middle();
    }

    /**
     * Days suitable for fieldwork of USDA NASS lie between four and six a week in the fall of the Corn Belt; from memory.
     */
    @Test
    void days_to_drill_on_do_not_depend_on_the_cover_and_agree_with_the_weather_of_the_place() {
        FieldPlans bare = FieldPlans.of()
                .crop("winter-wheat", "2026-10-04", "2027-07-18")
                .crop("grain-corn", "2028-05-08", "2028-10-15");
        Evaluated without = bare.evaluated();
        Evaluated with = bare.cover("v1", "before", "c2", "", "cereal-rye", "hairy-vetch")
                .operation("sow", "v1", "2027-08-10", "\"method\":\"drilled\"")
                .operation("end", "v1", "2028-05-01", "\"method\":\"burndown\"")
                .evaluated();
        assertThat(drillDays(with)).isEqualTo(drillDays(without));
        Window w = one(without, WindowKind.BETWEEN);
        ClimateView page = ClimateView.of(
                without.site().orElseThrow(), without.context().field(), FieldPlans.AS_OF, without.units());
        double weeks = 0;
        double days = 0;
        for (LocalDate d = w.from();
                d.isBefore(w.sowUntil().isBefore(w.to()) ? w.sowUntil() : w.to());
                d = d.plusDays(1)) {
            int month = d.getMonthValue();
            days += page.months().get(month - 1).work().stream()
                            .filter(k -> k.work().equals("drilling"))
                            .findFirst()
                            .orElseThrow()
                            .days()
                            .middle()
                    / d.lengthOfMonth();
            weeks += 1 / 7.0;
        }
        assertThat(drillDays(with)).isCloseTo(days, within(0.15 * days));
        double inSeptember = page.months().get(8).work().stream()
                        .filter(k -> k.work().equals("drilling"))
                        .findFirst()
                        .orElseThrow()
                        .days()
                        .middle()
                / 30
                * 7;
        assertThat(weeks).isGreaterThan(5);
        assertThat(inSeptember).isBetween(3.5, 6.5);
    }
}
