package app.etlo.core.plan.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Input;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;

/** The figures of the ground open to parts of one simulated year that add up to them. */
class GroundPartsTest {
    private static FieldPlans plan() {
        return FieldPlans.of()
                .crop("winter-wheat", "2026-10-01", "2027-07-20")
                .crop("grain-corn", "2028-05-10", "2028-10-15")
                .coverWithAims("v1", "before", "c2", List.of("mulch"), "cereal-rye", "hairy-vetch")
                .operation("sow", "v1", "2027-08-25", "\"method\":\"drilled\"")
                .operation("end", "v1", "2028-04-25", "\"method\":\"burndown\"");
    }

    private static Evaluated evaluated(FieldPlans p) {
        Dossier d = Plans.read(p.text());
        return new Evaluator(Plans.KNOWLEDGE).evaluate(d.plan(), d.context(), FieldPlans.AS_OF);
    }

    private static List<Input> parts(Evaluated e, String id) {
        return e.figures().get(id).working().inputs();
    }

    private static double middle(Input i) {
        return i.value().middle();
    }

    @Test
    void mineral_nitrogen_is_told_by_the_depths_of_a_soil_test() {
        Evaluated e = evaluated(plan());
        List<Input> layers = parts(e, "grow/c2/mineralN");
        assertThat(layers)
                .extracting(Input::label)
                .containsExactly(
                        "0 to 10 cm deep",
                        "10 to 30 cm deep",
                        "30 to 60 cm deep",
                        "60 to 120 cm deep",
                        "120 to 180 cm deep");
        assertThat(layers).allSatisfy(i -> assertThat(middle(i)).isNotNegative());
        Figure all = e.figures().get("grow/c2/mineralN");
        assertThat(layers.stream().mapToDouble(GroundPartsTest::middle).sum()).isCloseTo(all.middle(), within(1e-9));
        // what is told is what was simulated in one of the years
        GroundCourse course = e.ground().orElseThrow().course();
        int record = e.ground().orElseThrow().before(LocalDate.of(2028, 5, 10));
        assertThat(java.util.Arrays.stream(course.ground(record, OfGround.MINERAL_N_KG_HA))
                        .boxed())
                .anySatisfy(v -> assertThat(v).isCloseTo(all.middle(), within(1e-3)));
        // in a farm that reads inches, as in its soil tests: 4, 12, 24 in
        assertThat(parts(evaluated(plan().us()), "grow/c2/mineralN"))
                .extracting(Input::label)
                .startsWith("0 to 4 in deep", "4 to 12 in deep", "12 to 24 in deep");
    }

    /** Worked again from the parts by 1 - exp(-k mass), the form of Gregory (1982). */
    @Test
    void residue_covers_by_what_lies_and_what_stands() {
        Evaluated e = evaluated(plan());
        List<Input> parts = parts(e, "grow/c2/residueCover");
        double again = 100 * (1 - Math.exp(-middle(parts.get(0)) - 0.4 * middle(parts.get(1))));
        assertThat(e.figures().get("grow/c2/residueCover").middle()).isCloseTo(again, within(1e-9));
        // a week after the roller less stands than a week after spraying
        Evaluated rolled = evaluated(FieldPlans.of()
                .crop("winter-wheat", "2026-10-01", "2027-07-20")
                .crop("grain-corn", "2028-05-10", "2028-10-15")
                .coverWithAims("v1", "before", "c2", List.of("mulch"), "cereal-rye", "hairy-vetch")
                .operation("sow", "v1", "2027-08-25", "\"method\":\"drilled\"")
                .operation("end", "v1", "2028-04-25", "\"method\":\"roller-crimper\""));
        assertThat(standing(rolled)).isLessThan(standing(e));
    }

    private static double standing(Evaluated e) {
        return middle(parts(e, "grow/v1/residueCover").get(1));
    }

    /** Ploughed black in spring: the barest day comes with the plough, and its two parts make the figure. */
    @Test
    void the_barest_day_is_named_and_opens_to_leaves_and_residue() {
        Evaluated e = evaluated(plan().operation("pass", "", "2028-05-02", "\"operation\":\"mouldboard-plough\""));
        List<Input> parts = parts(e, "grow/lowestCover");
        String day = parts.get(0).label().replaceFirst("Under living leaves on ", "");
        assertThat(parts.get(1).label()).isEqualTo("Under residue on " + day);
        assertThat(LocalDate.parse(day, DateTimeFormatter.ofPattern("d MMM yyyy", Locale.UK)))
                .isBetween(LocalDate.of(2028, 5, 2), LocalDate.of(2028, 6, 10));
        double open = (1 - middle(parts.get(0)) / 100) * (1 - middle(parts.get(1)) / 100);
        assertThat(e.figures().get("grow/lowestCover").middle()).isCloseTo(100 * (1 - open), within(1e-9));
    }

    @Test
    void what_is_leached_is_told_winter_by_winter() {
        Evaluated e = evaluated(plan());
        List<Input> winters = parts(e, "grow/leached");
        assertThat(winters).extracting(Input::label).contains("From 1 Oct 2027 to 1 Jul 2028");
        assertThat(winters).allSatisfy(w -> assertThat(middle(w)).isNotNegative());
        assertThat(e.figures().get("grow/leached").middle())
                .isCloseTo(
                        winters.stream()
                                .mapToDouble(GroundPartsTest::middle)
                                .average()
                                .orElseThrow(),
                        within(1e-9));
    }
}
