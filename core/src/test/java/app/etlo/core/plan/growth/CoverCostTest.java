package app.etlo.core.plan.growth;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.advice.Note;
import app.etlo.core.ground.CoverCost;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.chapter.Evaluated;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a cover takes from the crop after it, against the same ground without it. */
class CoverCostTest {
    private static FieldPlans rye(String station, double latitude, String sown, String end) {
        return FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"station\":\"" + station + "\",\"point\":{\"lat\":" + latitude
                        + ",\"lon\":-30}")
                .crop("winter-wheat", "2026-09-25", "2027-07-05")
                .crop("grain-sorghum", "2028-05-20", "2028-10-01")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .operation("sow", "v1", sown, "\"method\":\"drilled\"")
                .operation("end", "v1", end, "\"method\":\"burndown\"");
    }

    private static CoverCost cost(Evaluated e) {
        return e.growth().cost(e.covers().get(0).inTime()).orElseThrow();
    }

    private static List<String> rules(Evaluated e) {
        return e.notes().stream().map(Note::rule).toList();
    }

    /**
     * Semi-arid: a cover that grows into May leaves the soil drier by some 30 to 100 mm (studies of the central Great Plains, from memory);
     * one that is ended in early April has weeks of rain to make up for it.
     */
    @Test
    void in_dry_country_a_late_end_costs_water_and_an_early_one_less() {
        Evaluated late = rye("ochremead", 39.2, "2027-09-10", "2028-05-15").evaluated();
        Evaluated early = rye("ochremead", 39.2, "2027-09-10", "2028-04-05").evaluated();
        assertThat(cost(late).waterMm().middle()).isBetween(20.0, 110.0);
        assertThat(cost(early).waterMm().middle())
                .isLessThan(cost(late).waterMm().middle() - 10);
        assertThat(rules(late)).contains("cover-costs-water");
    }

    /** In a maritime winter the rain fills the soil again whatever stood there. */
    @Test
    void in_a_wet_winter_it_costs_no_water() {
        Evaluated e = rye("isk-harbour", 52.3, "2027-09-10", "2028-03-25").evaluated();
        assertThat(cost(e).waterMm().middle()).isLessThan(15);
        assertThat(rules(e)).doesNotContain("cover-costs-water");
    }

    /** Rye killed at a C:N over 40 leaves the young crop short by some 20 to 60 kg/ha (common practice); against bare ground by more. */
    @Test
    void rye_that_is_ended_late_leaves_the_young_crop_short_of_nitrogen() {
        Evaluated e = rye("tarrow-ridge", 43, "2027-09-10", "2028-05-18").evaluated();
        assertThat(cost(e).worst().lessKgHa().middle()).isBetween(15.0, 110.0);
        assertThat(rules(e)).contains("nitrogen-short-early").doesNotContain("tie-up-expected");
    }

    /** Rye past heading frees next to nothing in a season; what is killed leafy frees more, later or sooner (PNW 636, from memory). */
    @Test
    void leafy_rye_frees_nitrogen_in_the_season_and_ripe_rye_does_not() {
        CoverCost.Released leafy = cost(rye("tarrow-ridge", 43, "2027-09-10", "2028-04-20")
                        .evaluated())
                .released();
        CoverCost.Released ripe = cost(rye("tarrow-ridge", 43, "2027-09-10", "2028-05-30")
                        .evaluated())
                .released();
        assertThat(leafy.kgHa().middle()).isBetween(3.0, 40.0);
        assertThat(ripe.kgHa().middle()).isLessThan(leafy.kgHa().middle());
        assertThat(leafy.from()).isBeforeOrEqualTo(LocalDate.parse("2028-05-20"));
        assertThat(ChronoUnit.DAYS.between(leafy.from(), leafy.until())).isBetween(70L, 92L);
    }

    @Test
    void what_is_sown_late_goes_thin_into_winter() {
        Evaluated late = rye("tarrow-ridge", 43, "2027-11-01", "2028-05-01")
                .operation("pass", "", "2027-10-30", "\"operation\":\"chisel-plough\"")
                .evaluated();
        Evaluated early = rye("tarrow-ridge", 43, "2027-08-25", "2028-05-01").evaluated();
        assertThat(late.growth()
                        .winterStand(late.covers().get(0).inTime())
                        .orElseThrow()
                        .living()
                        .middle())
                .isLessThan(0.15);
        assertThat(rules(early)).doesNotContain("thin-before-winter");
    }
}
