package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.ground.CoverCost;
import app.etlo.core.knowledge.StageSpread;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.asked.EndDates.DatesView;
import app.etlo.core.plan.asked.EndMethods.MethodView;
import app.etlo.core.plan.asked.EndRows.PointView;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.quantity.Unit;
import java.time.LocalDate;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** The table of dates: each day is the plan with its cover ended then. */
class EndDatesTest {
    private static final Evaluated E = plan("2027-04-27", "burndown", "").evaluated();
    private static final DatesView SEEN = EndDates.of(E, "v1", false).require();

    private static FieldPlans plan(String end, String method, String field) {
        return FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"point\":{\"lat\":43,\"lon\":-89}" + field)
                .crop("winter-wheat", "2025-10-04", "2026-07-18")
                .crop("grain-corn", "2027-05-08", "2027-10-15")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .operation("sow", "v1", "2026-09-05", "\"method\":\"drilled\"")
                .operation("end", "v1", end, "\"method\":\"" + method + "\"");
    }

    private static PointView at(DatesView v, String row, String day) {
        return v.rows().stream().filter(r -> r.id().equals(row)).findFirst().orElseThrow().points().stream()
                .filter(p -> p.on().equals(LocalDate.parse(day)))
                .findFirst()
                .orElseThrow();
    }

    private static void agrees(DatesView table, String day, Evaluated plan) {
        var cover = plan.covers().get(0);
        var crop = plan.crops().get(1);
        assertThat(at(table, "tops", day).middle())
                .isCloseTo(cover.mix().outlook().orElseThrow().mass().middle(), within(0.001));
        assertThat(at(table, "nitrogen", day).middle())
                .isCloseTo(cover.ending().stand().orElseThrow().nitrogenInTops().in(Unit.KG_PER_HA), within(0.1));
        assertThat(at(table, "cn", day).middle())
                .isCloseTo(
                        cover.grow()
                                .orElseThrow()
                                .carbonToNitrogen()
                                .orElseThrow()
                                .middle(),
                        within(0.1));
        assertThat(at(table, "water", day).middle())
                .isCloseTo(crop.grow().water().orElseThrow().in(Unit.MILLIMETRE), within(1.0));
        CoverCost cost = plan.growth().cost(cover.inTime()).orElseThrow();
        assertThat(at(table, "free4", day).middle())
                .isCloseTo(-cost.early().get(1).lessKgHa().middle(), within(0.1));
    }

    @Test
    void the_planned_day_comes_to_what_the_plan_comes_to() {
        assertThat(SEEN.planned()).contains(LocalDate.parse("2027-04-27"));
        agrees(SEEN, "2027-04-27", E);
    }

    @Test
    void another_day_comes_to_what_the_plan_so_dated_comes_to() {
        LocalDate other =
                SEEN.rows().stream().filter(r -> r.id().equals("water")).findFirst().orElseThrow().points().stream()
                        .map(PointView::on)
                        .filter(d -> d.isBefore(LocalDate.parse("2027-04-15")))
                        .reduce((a, b) -> b)
                        .orElseThrow();
        agrees(SEEN, other.toString(), plan(other.toString(), "burndown", "").evaluated());
    }

    /** Later: more and woodier tops, drier soil, less free nitrogen (chapter 5 of any guide on termination; common practice). */
    @Test
    void waiting_gives_mulch_and_costs_water_and_nitrogen() {
        String soon = "2027-04-27";
        String late = SEEN.to().toString();
        assertThat(at(SEEN, "tops", late).middle())
                .isGreaterThan(at(SEEN, "tops", soon).middle() + 1);
        assertThat(at(SEEN, "cn", late).middle())
                .isGreaterThan(at(SEEN, "cn", soon).middle());
        var free = SEEN.rows().stream()
                .filter(r -> r.id().equals("free4"))
                .findFirst()
                .orElseThrow()
                .points();
        assertThat(free.get(free.size() - 1).middle()).isLessThan(free.get(0).middle());
        assertThat(at(SEEN, "dead", soon).text()).isEqualTo("11");
    }

    /** Mirsky et al. 2009: a roller kills about 85 % of rye from the start of anthesis, and few before heading. */
    @Test
    void a_roller_kills_rye_from_anthesis_on() {
        var rye = E.knowledge().species().get("cereal-rye");
        var roller = E.knowledge().terminationMethods().get("roller-crimper");
        assertThat(roller.kills(rye).share(1, 0.5, 12)).isBetween(0.8, 0.9);
        assertThat(roller.kills(rye).share(0.8, 0.5, 12)).isLessThan(0.3);
        assertThat(roller.kills(rye).share(1.15, 0.5, 12)).isGreaterThan(0.94);
        // Mischler et al. 2010: vetch from full bloom on
        var vetch = E.knowledge().species().get("hairy-vetch");
        assertThat(StageSpread.farEnough(1, StageSpread.half(vetch))).isLessThan(0.2);
        assertThat(roller.kills(vetch).share(1.2, 0.5, 12)).isGreaterThan(0.75);
    }

    @Test
    void a_line_of_the_table_is_whole_long_before_planting_too() {
        assertThat(row("tops")).containsAll(row("water"));
        assertThat(row("water").first()).isBefore(LocalDate.parse("2027-01-01"));
    }

    private static java.util.TreeSet<LocalDate> row(String id) {
        return SEEN.rows().stream()
                .filter(r -> r.id().equals(id))
                .flatMap(r -> r.points().stream())
                .map(PointView::on)
                .collect(Collectors.toCollection(java.util.TreeSet::new));
    }

    /** Frost keeps no date, so days are compared with the usual tool; the way of the plan is still winter. */
    @Test
    void a_plan_that_leaves_it_to_winter_says_what_the_days_are_compared_with() {
        DatesView v = EndDates.of(plan("2027-03-01", "winterkill", "").evaluated(), "v1", true)
                .require();
        assertThat(v.instead().orElseThrow()).contains("winter");
        assertThat(v.method()).isEqualTo("burndown herbicide");
        assertThat(v.methods())
                .filteredOn(MethodView::planned)
                .extracting(MethodView::id)
                .containsExactly("winterkill");
        assertThat(SEEN.instead()).isEmpty();
    }

    @Test
    void a_first_answer_tells_what_lives_and_not_yet_what_the_ground_comes_to() {
        DatesView first = EndDates.of(E, "v1", true).require();
        assertThat(first.coarse()).isTrue();
        assertThat(first.rows())
                .extracting(r -> r.id())
                .contains("tops", "cn", "kill-burndown")
                .doesNotContain("water");
        assertThat(at(first, "tops", "2027-04-27")).isEqualTo(at(SEEN, "tops", "2027-04-27"));
    }

    /** A systemic spray wants growth: 12 °C by day and 5 by night for several days (common practice). */
    @Test
    void the_next_days_are_held_against_the_forecast() {
        var context = E.context();
        var forecast = new app.etlo.core.plan.document.ForecastEntry(
                java.time.Instant.parse("2027-04-20T06:00:00Z"),
                LocalDate.parse("2027-04-20"),
                java.util.List.of(
                        new app.etlo.core.weather.Forecast.Day(7, 18, 0),
                        new app.etlo.core.weather.Forecast.Day(2, 15, 0),
                        new app.etlo.core.weather.Forecast.Day(8, 16, 6)));
        Evaluated e = new app.etlo.core.plan.chapter.Evaluator(app.etlo.core.plan.Plans.KNOWLEDGE)
                .evaluate(
                        E.plan(),
                        new app.etlo.core.plan.document.Context(
                                context.farm(),
                                context.field(),
                                context.lots(),
                                context.weather(),
                                java.util.Optional.of(forecast),
                                context.corrections(),
                                java.util.List.of()),
                        LocalDate.parse("2027-04-20"));
        DatesView v = EndDates.of(e, "v1", true).require();
        assertThat(v.nextDays())
                .extracting(d -> d.spray().orElse("fits"))
                .containsExactly("fits", "too cold by night", "rain");
        assertThat(v.nextDays()).extracting(d -> d.roll().orElse("fits")).containsExactly("fits", "fits", "rain");
        assertThat(v.forecastOf()).isPresent();
        assertThat(SEEN.nextDays()).isEmpty();
    }

    @Test
    void ways_that_do_not_fit_are_listed_with_the_reason() {
        DatesView organic = EndDates.of(
                        plan(
                                        "2027-04-27",
                                        "roller-crimper",
                                        ",\"certification\":\"organic\",\"equipment\":[{\"name\":\"Roller\",\"kind\":\"roller-crimper\"}]")
                                .evaluated(),
                        "v1",
                        true)
                .require();
        Map<String, MethodView> ways =
                organic.methods().stream().collect(Collectors.toMap(MethodView::id, Function.identity()));
        assertThat(ways.get("burndown").usable()).isFalse();
        assertThat(String.join(" ", ways.get("burndown").reasons())).contains("no synthetic herbicide");
        assertThat(ways.get("roller-crimper").usable()).isTrue();
        assertThat(String.join(" ", ways.get("roller-crimper").reasons())).contains("% of the tops alive");
        assertThat(String.join(" ", ways.get("mow").reasons())).contains("No mower");
        assertThat(String.join(" ", ways.get("winterkill").reasons())).contains("second tool");
        assertThat(String.join(" ", ways.get("till").reasons())).contains("seedcorn maggot");
    }

    @Test
    void an_end_that_is_past_or_a_cover_that_is_not_sown_is_refused() {
        assertThatThrownBy(() -> EndDates.of(E, "v9", true))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no such cover");
        Evaluated later = plan("2027-04-27", "burndown", "").evaluated(LocalDate.parse("2027-06-20"));
        assertThat(EndDates.of(later, "v1", true).why().orElseThrow()).contains("past");
        assertThatThrownBy(() -> EndDates.of(later, "v1", true).require()).isInstanceOf(Refused.class);
    }
}
