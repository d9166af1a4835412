package app.etlo.core.plan.shown;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.field.FrostDates;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.shown.Evaluation.PartView;
import app.etlo.core.plan.shown.Evaluation.SectionView;
import app.etlo.core.plan.shown.Evaluation.StandView;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** The picture of a plan: what stands when, how its outline rises, and what lies on the ground. */
class SectionTest {
    private static final FrostDates FROST = new FrostDates(MonthDay.of(4, 25), MonthDay.of(10, 12));

    private static SectionView section(String piece, String replacement) {
        return EvaluationWriter.write(Plans.with(piece, replacement)).section().orElseThrow();
    }

    private static StandView stand(SectionView s, String id) {
        return s.stands().stream().filter(x -> x.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void winter_barley_stays_low_through_the_winter_and_stands_at_harvest() {
        PartView barley = stand(
                        EvaluationWriter.write(Plans.evaluated()).section().orElseThrow(), "c1")
                .parts()
                .get(0);
        List<Integer> course = barley.courseCm();
        // sown 2 October: week 16 is late January, the last week is harvest
        assertThat(course.get(16)).isLessThan((int) (barley.heightM() * 100 * 0.4));
        assertThat(course.get(course.size() - 1)).isEqualTo((int) Math.round(barley.heightM() * 100));
    }

    @Test
    void a_tender_species_stands_until_the_usual_frost() {
        SectionView s = section("daikon-radish", "cowpea");
        PartView cowpea = stand(s, "v1").parts().stream()
                .filter(p -> p.id().equals("cowpea"))
                .findFirst()
                .orElseThrow();
        assertThat(cowpea.frostedOn()).contains(LocalDate.of(2026, 10, 12));
        assertThat(stand(s, "v1").parts().get(0).frostedOn()).isEmpty();
    }

    @Test
    void a_cover_without_an_end_is_open_and_reaches_the_planting() {
        SectionView s = section(
                "{\"id\": \"o4\", \"kind\": \"end\", \"subject\": \"v1\", \"when\": {\"on\": \"2027-05-01\"}, \"params\": {\"method\": \"roller-crimper\"}},",
                "");
        assertThat(stand(s, "v1").open()).isTrue();
        assertThat(stand(s, "v1").to()).isEqualTo(LocalDate.of(2027, 5, 12));
    }

    @Test
    void a_slip_of_the_year_does_not_press_the_picture_flat() {
        SectionView s = section("\"2027-10-15\"", "\"2077-10-15\"");
        assertThat(s.to()).isBefore(LocalDate.of(2030, 1, 1));
        assertThat(s.stands()).extracting(StandView::id).doesNotContain("c2");
    }

    @Test
    void a_pass_after_the_last_harvest_is_drawn_and_rated() {
        String later =
                "{\"id\": \"o7\", \"kind\": \"pass\", \"when\": {\"on\": \"2027-11-01\"}, \"params\": {\"operation\": \"tandem-disc\"}}";
        Evaluated e =
                Plans.with("\"when\": {\"on\": \"2027-10-15\"}}", "\"when\": {\"on\": \"2027-10-15\"}}, " + later);
        assertThat(e.laterPasses()).hasSize(1);
        assertThat(e.figures().get("plant/later/o7/rating").middle()).isEqualTo(32.5);
        assertThat(EvaluationWriter.write(e).section().orElseThrow().passes()).anyMatch(p -> p.id().equals("o7"));
    }

    @Test
    void a_disc_buries_the_straw_and_a_drill_does_not() {
        SectionView none = EvaluationWriter.write(Plans.evaluated()).section().orElseThrow();
        String disc =
                "{\"id\": \"o7\", \"kind\": \"pass\", \"when\": {\"on\": \"2026-07-20\"}, \"params\": {\"operation\": \"tandem-disc\"}}";
        SectionView disced =
                section("\"when\": {\"on\": \"2027-10-15\"}}", "\"when\": {\"on\": \"2027-10-15\"}}, " + disc);
        assertThat(none.residues().get(0).to()).isAfter(LocalDate.of(2027, 1, 1));
        assertThat(disced.residues().get(0).to()).isEqualTo(LocalDate.of(2026, 7, 20));
    }

    @Test
    void frost_seasons_are_drawn_only_when_their_dates_are_entered() {
        assertThat(EvaluationWriter.write(Plans.evaluated())
                        .section()
                        .orElseThrow()
                        .frosts())
                .isNotEmpty();
        assertThat(section(", \"lastSpringFrost\": \"04-25\", \"firstAutumnFrost\": \"10-12\"", "")
                        .frosts())
                .isEmpty();
    }

    @Property(tries = 200)
    void an_outline_never_sinks_and_never_passes_its_typical_height(
            @ForAll @IntRange(min = 0, max = 364) int start,
            @ForAll @IntRange(min = 1, max = 700) int days,
            @ForAll @DoubleRange(min = 0.1, max = 3) double height) {
        LocalDate from = LocalDate.of(2026, 1, 1).plusDays(start);
        for (Optional<FrostDates> frost : List.of(Optional.of(FROST), Optional.<FrostDates>empty())) {
            TypicalCourse course = new TypicalCourse(frost);
            for (List<Integer> cm : List.of(
                    course.ofCover(from, from.plusDays(days), height),
                    course.ofCrop(from, from.plusDays(days), height))) {
                assertThat(cm).isSorted();
                assertThat(cm.get(cm.size() - 1)).isLessThanOrEqualTo((int) Math.round(height * 100));
                assertThat(cm).hasSize((days + TypicalCourse.EVERY_DAYS - 1) / TypicalCourse.EVERY_DAYS + 1);
            }
        }
    }
}
