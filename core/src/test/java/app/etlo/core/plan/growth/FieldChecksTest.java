package app.etlo.core.plan.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.asked.GroundDays;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Dossier;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What was seen in the field corrects the forecast from its day on, and says by how much. */
class FieldChecksTest {
    private static final LocalDate AS_OF = LocalDate.of(2028, 4, 20);
    private static final String CUTS =
            "\"quadrat\":{\"frameArea\":{\"value\":0.25,\"unit\":\"m2\"},\"dryMatterPercent\":20,\"samples\":[%s]}";

    private static Evaluated evaluated(String checks) {
        return evaluated(checks, "metric");
    }

    private static Evaluated evaluated(String checks, String units) {
        String text = FieldPlans.of()
                .crop("winter-wheat", "2026-10-01", "2027-07-20")
                .crop("grain-corn", "2028-05-10", "2028-10-15")
                .coverWithAims("v1", "before", "c2", List.of("mulch"), "cereal-rye", "hairy-vetch")
                .operation("sow", "v1", "2027-08-25", "\"method\":\"drilled\"")
                .operation("end", "v1", "2028-05-08", "\"method\":\"burndown\"")
                .text()
                .replaceFirst("\"aims\":", "\"checks\":[" + checks + "],\"aims\":")
                .replace("\"units\":\"metric\"", "\"units\":\"" + units + "\"");
        Dossier d = Plans.read(text);
        return new Evaluator(Plans.KNOWLEDGE).evaluate(d.plan(), d.context(), AS_OF);
    }

    private static double mass(Evaluated e) {
        return e.figures().get("mix/v1/mass").middle();
    }

    private static String cuts(int n, double grams) {
        StringBuilder all = new StringBuilder();
        for (int i = 0; i < n; i++) {
            all.append(all.isEmpty() ? "" : ",").append("{\"value\":" + (grams + i) + ",\"unit\":\"g\"}");
        }
        return CUTS.formatted(all);
    }

    @Test
    void a_heavy_quadrat_raises_the_rest_and_a_light_one_lowers_it() {
        double before = mass(evaluated(""));
        Evaluated heavy = evaluated("{\"id\":\"k1\",\"on\":\"2028-04-15\"," + cuts(6, 900) + "}");
        Evaluated light = evaluated("{\"id\":\"k1\",\"on\":\"2028-04-15\"," + cuts(6, 120) + "}");
        assertThat(mass(heavy)).isGreaterThan(before * 1.1);
        assertThat(mass(light)).isLessThan(before * 0.85);
        assertThat(heavy.covers().get(0).checks()).singleElement().satisfies(s -> {
            assertThat(s.said()).contains("weighed").contains("from here on ×");
            assertThat(s.massFactor()).isGreaterThan(1);
        });
        // the band narrows: what was seen is surer than the model
        var wide = evaluated("").figures().get("mix/v1/mass").value();
        var narrow = heavy.figures().get("mix/v1/mass").value();
        assertThat((narrow.high() - narrow.low()) / narrow.middle())
                .isLessThan((wide.high() - wide.low()) / wide.middle());
    }

    /** 1 lb/ac = 1.12085 kg/ha, 1 in = 2.54 cm, 1 m2 = 10.764 ft2 (NIST Special Publication 811). */
    @Test
    void a_farm_in_pounds_is_told_in_pounds_inches_and_square_feet() {
        String all = "{\"id\":\"k1\",\"on\":\"2028-04-15\",\"height\":{\"value\":20,\"unit\":\"in\"},"
                + "\"plants\":{\"value\":107.64,\"unit\":\"/m2\"}," + cuts(6, 900) + "}";
        String here = cover(evaluated(all)).checks().get(0).said();
        assertThat(here).contains("t/ha weighed").contains("height 51 cm").contains("plants 108 /m² counted");
        String there = cover(evaluated(all, "us")).checks().get(0).said();
        assertThat(there).contains("lb/ac weighed").contains("height 20 in").contains("plants 10.0 /ft² counted");
        double tonnesHa = Double.parseDouble(here.replaceAll(".*; (\\S+) t/ha weighed.*", "$1"));
        double lbAc = Double.parseDouble(
                there.replaceAll(".*; (\\S+) lb/ac weighed.*", "$1").replace("\u202f", ""));
        assertThat(lbAc * 1.12085 / 1000).isCloseTo(tonnesHa, org.assertj.core.api.Assertions.withinPercentage(1));
        assertThat(there.replaceAll("[^×]*(× \\S+)[^×]*", "$1")).isEqualTo(here.replaceAll("[^×]*(× \\S+)[^×]*", "$1"));
    }

    @Test
    void one_cut_moves_it_by_three_tenths_at_most() {
        Evaluated e = evaluated("{\"id\":\"k1\",\"on\":\"2028-04-15\"," + cuts(1, 4000) + "}");
        assertThat(e.covers().get(0).checks().get(0).massFactor()).isLessThanOrEqualTo(1.3 + 1e-9);
    }

    /** A check of tomorrow was not seen yet; one before anything came up has nothing to be weighed against. */
    @Test
    void only_what_was_seen_by_then_counts() {
        double before = mass(evaluated(""));
        assertThat(mass(evaluated("{\"id\":\"k1\",\"on\":\"2028-04-25\"," + cuts(6, 900) + "}")))
                .isEqualTo(before);
        assertThat(mass(evaluated("{\"id\":\"k1\",\"on\":\"2027-08-20\"," + cuts(6, 900) + "}")))
                .isEqualTo(before);
    }

    @Test
    void without_nodules_nothing_is_fixed() {
        Evaluated e = evaluated("{\"id\":\"k1\",\"on\":\"2027-10-01\",\"nodules\":\"none\"}");
        assertThat(e.figures().get("grow/v1/nitrogen").middle())
                .isLessThan(evaluated("").figures().get("grow/v1/nitrogen").middle());
        assertThat(e.covers().get(0).checks().get(0).said()).contains("no nodules");
    }

    @Test
    void a_thin_count_early_and_a_cover_count_move_it_too() {
        double before = mass(evaluated(""));
        Evaluated thin = evaluated("{\"id\":\"k1\",\"on\":\"2027-09-10\",\"plants\":{\"value\":60,\"unit\":\"/m2\"}}");
        assertThat(thin.covers().get(0).checks().get(0).standFactor()).isLessThan(0.8);
        assertThat(mass(thin)).isLessThan(before);
        Evaluated bare = evaluated("{\"id\":\"k1\",\"on\":\"2027-09-20\",\"coverPercent\":10}");
        assertThat(bare.covers().get(0).checks().get(0).massFactor()).isLessThan(1);
    }

    @Test
    void a_wrong_unit_is_told_at_its_place() {
        assertThatThrownBy(() ->
                        evaluated("{\"id\":\"k1\",\"on\":\"2028-04-15\",\"height\":{\"value\":40,\"unit\":\"kg\"}}"))
                .hasMessageContaining("/covers/0/checks/0/height/unit");
    }

    private static Evaluated.CoverResult cover(Evaluated e) {
        return e.covers().get(0);
    }

    private static double mass(Evaluated e, String species) {
        return e.figures().get("mix/v1/" + species + "/mass").middle();
    }

    /** The vetch alone was counted thin: the rye is not thinned with it. */
    @Test
    void a_check_of_one_species_acts_on_that_one_alone() {
        Evaluated before = evaluated("");
        Evaluated thin = evaluated(
                "{\"id\":\"k1\",\"on\":\"2027-09-12\",\"species\":\"hairy-vetch\",\"plants\":{\"value\":2,\"unit\":\"/m2\"}}");
        assertThat(mass(thin, "hairy-vetch")).isLessThan(0.8 * mass(before, "hairy-vetch"));
        assertThat(mass(thin, "cereal-rye")).isGreaterThanOrEqualTo(mass(before, "cereal-rye"));
        // what was not looked at is as unsure as before
        assertThat(cover(thin).checks().get(0).errorLeft())
                .isGreaterThan(cover(evaluated("{\"id\":\"k1\",\"on\":\"2028-04-15\"," + cuts(6, 500) + "}"))
                        .checks()
                        .get(0)
                        .errorLeft());
        assertThat(cover(evaluated("{\"id\":\"k1\",\"on\":\"2027-09-12\",\"species\":\"spring-oats\","
                                + "\"plants\":{\"value\":2,\"unit\":\"/m2\"}}"))
                        .checks())
                .isEmpty();
    }

    /** One line of 100 beads is good to 5 points at 50 % (the usual word of guides); more lines by their spread. */
    @Test
    void a_line_transect_tells_its_error() {
        assertThat(LineTransect.standardError(100, List.of(50), 50)).isEqualTo(5);
        assertThat(LineTransect.standardError(100, List.of(30, 50, 70), 50))
                .isCloseTo(20 / Math.sqrt(3), org.assertj.core.api.Assertions.within(1e-9));
        assertThat(LineTransect.cover("t", 100, List.of(30, 50, 70)).middle())
                .isCloseTo(50, org.assertj.core.api.Assertions.within(1e-9));
        Evaluated sure =
                evaluated("{\"id\":\"k1\",\"on\":\"2027-09-20\",\"transect\":{\"points\":100,\"hits\":[9,11,10,10]}}");
        Evaluated eye = evaluated("{\"id\":\"k1\",\"on\":\"2027-09-20\",\"coverPercent\":10}");
        assertThat(cover(sure).checks().get(0).said()).startsWith("10 % cover seen");
        assertThat(cover(sure).checks().get(0).errorLeft())
                .isLessThan(cover(eye).checks().get(0).errorLeft());
        assertThatThrownBy(() -> evaluated(
                        "{\"id\":\"k1\",\"on\":\"2027-09-20\",\"transect\":{\"points\":50,\"hits\":[40,60]}}"))
                .hasMessageContaining("/covers/0/checks/0/transect/hits/1");
    }

    @Test
    void a_stage_seen_earlier_than_forecast_sets_its_species_forward() {
        String rye = "{\"id\":\"k1\",\"on\":\"2028-04-10\",\"species\":\"cereal-rye\",\"stage\":\"%s\"}";
        var early = cover(evaluated(rye.formatted("in-bloom"))).checks().get(0);
        assertThat(early.stageChange()).isPositive();
        assertThat(early.said()).contains("in bloom, forecast ").endsWith("it is farther on");
        // of a mix it is said of which species
        var mix = cover(evaluated("{\"id\":\"k1\",\"on\":\"2028-04-10\",\"stage\":\"leafy\"}"))
                .checks()
                .get(0);
        assertThat(mix.stageChange()).isZero();
        assertThat(mix.said()).contains("say of which species");
    }

    /** Where the stage seen is the stage forecast, nothing moves; else it ends between both. */
    @Test
    void a_stage_is_weighed_between_what_was_forecast_and_what_was_seen() {
        assertThat(SeenStage.change("s", 0.6, SeenStage.STEMS).middle()).isZero();
        double moved = 0.6 + SeenStage.change("s", 0.6, SeenStage.IN_BLOOM).middle();
        assertThat(moved).isBetween(0.8, 1.0);
        assertThat(SeenStage.change("s", 0.9, SeenStage.LEAFY).middle()).isBetween(-0.45, -0.2);
        assertThat(SeenStage.at(1.4)).isEqualTo(SeenStage.SEED_SET);
        assertThat(SeenStage.at(2)).isEqualTo(SeenStage.RIPE);
    }

    /** A stand measured lower than forecast stays lower; with 15 and 10 % error about seven tenths of the way is gone. */
    @Test
    void a_height_is_weighed_and_stays() {
        Evaluated before = evaluated("");
        int forecast = heightCm(before, "2028-04-18");
        Evaluated low = evaluated("{\"id\":\"k1\",\"on\":\"2028-04-15\",\"height\":{\"value\":"
                + 0.8 * heightCm(before, "2028-04-15") + ",\"unit\":\"cm\"}}");
        assertThat(cover(low).checks().get(0).heightFactor())
                .isCloseTo(0.84, org.assertj.core.api.Assertions.within(0.04));
        assertThat(heightCm(low, "2028-04-18")).isLessThan(forecast);
        assertThat(cover(low).checks().get(0).said()).endsWith("in height");
        // what it weighs was not measured
        assertThat(mass(low)).isCloseTo(mass(before), org.assertj.core.api.Assertions.withinPercentage(12));
    }

    private static int heightCm(Evaluated e, String day) {
        GroundDays.DaysView days = GroundDays.of(e, "v1").orElseThrow();
        int column =
                days.columns().stream().map(GroundDays.DayColumn::name).toList().indexOf("height of the tallest");
        return days.rows().stream()
                .filter(r -> r.day().toString().equals(day))
                .map(r -> Integer.parseInt(r.cells().get(column).replaceAll("\\..*", "")))
                .findFirst()
                .orElseThrow();
    }
}
