package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.advice.MissingFact;
import app.etlo.core.advice.Note;
import app.etlo.core.advice.Weight;
import app.etlo.core.plan.FieldPlans;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The checks on a sequence of crops: each speaks where it should and is silent where it should be. */
class SequenceJudgementsTest {
    private static List<Note> of(String rule, FieldPlans plan) {
        return plan.evaluated().notes().stream()
                .filter(n -> n.rule().equals(rule))
                .toList();
    }

    private static void speaks(String rule, FieldPlans plan) {
        assertThat(of(rule, plan)).as(rule).isNotEmpty();
    }

    private static void silent(String rule, FieldPlans plan) {
        assertThat(of(rule, plan)).as(rule).isEmpty();
    }

    private static FieldPlans crops(String... crops) {
        FieldPlans plan = FieldPlans.of();
        for (int i = 0; i < crops.length; i++) {
            plan.crop(crops[i], (2026 + i) + "-05-05", (2026 + i) + "-09-25", "no-till");
        }
        return plan;
    }

    @Test
    void the_same_crop_twice() {
        speaks("same-crop-twice", crops("grain-corn", "grain-corn"));
        silent("same-crop-twice", crops("grain-corn", "soybean", "grain-corn"));
        silent("same-crop-twice", crops("alfalfa", "alfalfa"));
    }

    @Test
    void the_same_family_twice_in_one_season() {
        speaks("same-family-twice", crops("spring-barley", "oats"));
        speaks("same-family-twice", crops("canola", "cabbage"));
        // corn behind wheat is common, and shares little
        silent("same-family-twice", crops("winter-wheat", "grain-corn"));
    }

    @Test
    void grasses_or_broadleaves_alone() {
        speaks("no-broadleaf-grass-alternation", crops("grain-corn", "oats", "winter-wheat"));
        speaks("no-broadleaf-grass-alternation", crops("soybean", "sunflower", "potato"));
        silent("no-broadleaf-grass-alternation", crops("grain-corn", "soybean", "winter-wheat"));
        silent("no-broadleaf-grass-alternation", crops("grain-corn", "oats"));
    }

    @Test
    void a_long_window_without_a_cover() {
        FieldPlans bare = crops("grain-corn", "soybean");
        assertThat(of("window-without-cover", bare).get(0).text()).contains("from November to March");
        silent(
                "window-without-cover",
                crops("grain-corn", "soybean")
                        .cover("v1", "before", "c2", "", "cereal-rye")
                        .operation("sow", "v1", "2026-09-26", "")
                        .operation("end", "v1", "2027-04-25", "\"method\":\"burndown\""));
    }

    @Test
    void a_hard_weed_before_tillage_stops() {
        String place = "\"station\":\"tarrow-ridge\",";
        speaks(
                "weeds-before-no-till",
                crops("soybean", "oats")
                        .field(place + "\"weeds\":[{\"name\":\"thistle\",\"pressure\":\"low\",\"perennial\":true}]"));
        silent(
                "weeds-before-no-till",
                crops("soybean", "oats")
                        .field(place
                                + "\"weeds\":[{\"name\":\"thistle\",\"pressure\":\"high\",\"underControl\":true}]"));
        silent(
                "weeds-before-no-till",
                FieldPlans.of()
                        .crop("soybean", "2026-05-05", "2026-09-25", "full-width")
                        .field(place + "\"weeds\":[{\"name\":\"thistle\",\"pressure\":\"high\"}]"));
    }

    @Test
    void a_residual_herbicide_whose_interval_is_open_or_unknown() {
        String typed =
                "\"station\":\"tarrow-ridge\",\"residuals\":[{\"activeIngredient\":\"agent\",\"appliedOn\":\"2026-05-20\"%s}]";
        FieldPlans sown = crops("grain-corn", "soybean")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .operation("sow", "v1", "2026-09-26", "");
        List<Note> unknown = of("residual-herbicide", sown.field(typed.formatted("")));
        assertThat(unknown).hasSize(1).allMatch(n -> n.weight() == Weight.STOP);
        assertThat(unknown.get(0).ask()).contains(new MissingFact(MissingFact.Kind.LABEL_INTERVAL, "agent 2026-05-20"));
        assertThat(unknown.get(0).text()).contains("label is not entered");
        List<Note> open = of("residual-herbicide", sown.field(typed.formatted(",\"intervalMonths\":6")));
        assertThat(open).hasSize(1);
        assertThat(open.get(0).text()).contains("acts until");
        silent("residual-herbicide", sown.field(typed.formatted(",\"intervalMonths\":3")));
    }

    @Test
    void much_work_in_few_days() {
        FieldPlans peak = FieldPlans.of()
                .crop("oats", "2027-04-01", "2027-08-01")
                .crop("canola", "2027-08-09", "2028-07-15")
                .cover("v1", "before", "c2", "", "buckwheat")
                .operation("sow", "v1", "2027-08-02", "")
                .operation("end", "v1", "2027-08-08", "\"method\":\"mow\"");
        speaks("work-peak", peak);
        silent("work-peak", crops("grain-corn", "soybean"));
    }

    @Test
    void too_few_legumes_or_too_many() {
        speaks("legume-share", crops("grain-corn", "oats", "sunflower"));
        speaks("legume-share", crops("soybean", "field-pea"));
        silent("legume-share", crops("grain-corn", "soybean", "winter-wheat"));
    }

    @Test
    void manure_where_only_weeds_take_it_up() {
        String weedy = "\"station\":\"tarrow-ridge\",\"weeds\":[{\"name\":\"fat hen\",\"pressure\":\"medium\"}]";
        FieldPlans fed =
                crops("grain-corn", "soybean").operation("pass", "", "2026-11-10", "\"operation\":\"knife-injector\"");
        speaks("manure-feeds-weeds", fed.field(weedy));
        silent("manure-feeds-weeds", fed.field("\"station\":\"tarrow-ridge\""));
        silent(
                "manure-feeds-weeds",
                crops("grain-corn", "soybean")
                        .operation("pass", "", "2027-05-01", "\"operation\":\"knife-injector\"")
                        .field(weedy));
    }

    @Test
    void volunteers_in_a_later_crop_of_their_kind() {
        speaks("volunteers-ahead", crops("potato", "oats", "carrot"));
        silent("volunteers-ahead", crops("oats", "carrot"));
    }

    @Test
    void roots_lifted_late_ahead_of_no_till() {
        FieldPlans late = FieldPlans.of()
                .crop("sugar-beet", "2026-04-05", "2026-11-15", "full-width")
                .crop("spring-barley", "2027-04-01", "2027-07-30", "no-till");
        speaks("root-harvest-in-wet-season", late);
        silent(
                "root-harvest-in-wet-season",
                FieldPlans.of()
                        .crop("sugar-beet", "2026-04-05", "2026-09-15", "full-width")
                        .crop("spring-barley", "2027-04-01", "2027-07-30", "no-till"));
    }

    @Test
    void a_cover_sown_into_a_crop_at_the_wrong_time() {
        FieldPlans late = crops("grain-corn", "soybean")
                .cover("v1", "into", "c1", "interseeded", "annual-ryegrass")
                .operation("sow", "v1", "2026-08-20", "");
        speaks("sown-outside-window", late);
        silent(
                "sown-outside-window",
                crops("grain-corn", "soybean")
                        .cover("v1", "into", "c1", "interseeded", "annual-ryegrass")
                        .operation("sow", "v1", "2026-06-10", ""));
    }

    @Test
    void a_crop_that_bears_no_mulch() {
        FieldPlans onions = crops("oats", "onion")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .operation("sow", "v1", "2026-09-26", "");
        speaks("poor-under-mulch", onions);
        silent(
                "poor-under-mulch",
                crops("oats", "winter-squash")
                        .cover("v1", "before", "c2", "", "cereal-rye")
                        .operation("sow", "v1", "2026-09-26", ""));
    }

    @Test
    void nitrogen_that_a_crop_leaves() {
        speaks("nitrogen-left-by-crop", crops("alfalfa", "grain-corn"));
        silent("nitrogen-left-by-crop", crops("oats", "grain-corn"));
        silent("nitrogen-left-by-crop", crops("alfalfa", "soybean"));
    }

    @Test
    void a_soil_test_past_its_clock() {
        String tests = "\"station\":\"tarrow-ridge\",\"soilTests\":[{\"date\":\"2019-03-01\"},{\"date\":\"%s\"}]";
        speaks("soil-test-old", crops("oats").field(tests.formatted("2022-05-31")));
        silent("soil-test-old", crops("oats").field(tests.formatted("2022-06-02")));
        silent("soil-test-old", crops("oats"));
    }

    @Test
    void a_cover_grazed_on_wet_ground_ahead_of_no_till() {
        FieldPlans grazed = crops("oats", "grain-corn")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .operation("sow", "v1", "2026-09-26", "")
                .operation("end", "v1", "2027-04-20", "\"method\":\"graze\"");
        speaks("grazed-on-wet-ground", grazed.field("\"station\":\"tarrow-ridge\",\"drainage\":\"poorly drained\""));
        silent("grazed-on-wet-ground", grazed.field("\"station\":\"tarrow-ridge\",\"drainage\":\"well drained\""));
    }

    @Test
    void weeds_that_seed_in_a_warm_window() {
        String weedy = "\"station\":\"tarrow-ridge\",\"weeds\":[{\"name\":\"fat hen\",\"pressure\":\"%s\"}]";
        FieldPlans summer = FieldPlans.of()
                .crop("winter-wheat", "2026-10-02", "2027-07-15")
                .crop("grain-corn", "2028-05-05", "2028-10-12");
        speaks("seed-bank-fed", summer.field(weedy.formatted("high")));
        silent("seed-bank-fed", summer.field(weedy.formatted("medium")));
        silent(
                "seed-bank-fed",
                FieldPlans.of()
                        .crop("grain-corn", "2027-05-02", "2027-10-15")
                        .crop("soybean", "2028-05-05", "2028-10-12")
                        .field(weedy.formatted("high")));
    }

    @Test
    void weather_that_stands_on_little() {
        speaks("weather-uncertain", crops("oats").field("\"point\":{\"lat\":50,\"lon\":0}"));
        silent("weather-uncertain", crops("oats"));
        silent("weather-uncertain", crops("oats").field("\"texture\":\"loam\""));
    }
}
