package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.asked.ReplayViews.DayView;
import app.etlo.core.plan.asked.ReplayViews.EndView;
import app.etlo.core.plan.asked.ReplayViews.Judged;
import app.etlo.core.plan.asked.ReplayViews.Tried;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.document.WeatherEntry;
import app.etlo.core.weather.Forecast;
import app.etlo.core.weather.WeatherGenerator;
import app.etlo.core.weather.WeatherSeries;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A past year gone through: nothing of what is to come is known, it halts where something is to be done, and the end compares. */
class ReplaysTest {
    private static final LocalDate TODAY = FieldPlans.AS_OF;
    private static final WeatherSeries RECORD =
            new WeatherGenerator(Plans.KNOWLEDGE.stations().get("tarrow-ridge")).years(1998, 2025);
    private static final int YEAR = 2012;

    private static FieldPlans plan() {
        return FieldPlans.of()
                .field("\"weather\":\"w\",\"point\":{\"lat\":43,\"lon\":-30}")
                .crop("winter-wheat", "2025-10-05", "2026-07-20")
                .crop("grain-corn", "2027-05-12", "2027-10-10")
                .cover("v1", "before", "c2", "", "cereal-rye", "hairy-vetch")
                .operation("sow", "v1", "2026-09-10", "\"method\":\"drilled\"")
                .operation("end", "v1", "2027-05-01", "\"method\":\"roller-crimper\"");
    }

    private static Replays.Season season(FieldPlans plan, WeatherSeries record) {
        Dossier d = Plans.read(plan.text());
        WeatherEntry w = WeatherEntry.of("w", "Yard", 43, Optional.empty(), Optional.empty(), record);
        Context c = d.context();
        return new Replays.Season(
                d.plan(),
                new Context(
                        c.farm(), c.field(), c.lots(), Optional.of(w), Optional.empty(), c.corrections(), List.of()),
                TODAY,
                "v1",
                YEAR);
    }

    private static Replays replays() {
        return new Replays(new Evaluator(Plans.KNOWLEDGE));
    }

    private static ReplayChoice done(String day, String kind, String subject) {
        return new ReplayChoice(LocalDate.parse(day), kind, subject, LocalDate.parse(day), Optional.empty());
    }

    private static final List<ReplayChoice> AS_PLANNED =
            List.of(done("2026-09-10", "sow", "v1"), done("2027-05-01", "end", "v1"), done("2027-05-12", "sow", "c2"));

    /** The record with every day from one on made another: warmer by ten degrees and wet. */
    private static WeatherSeries otherFrom(LocalDate past) {
        int n = RECORD.days();
        double[] low = new double[n];
        double[] high = new double[n];
        double[] rain = new double[n];
        for (int i = 0; i < n; i++) {
            boolean other = !RECORD.date(i).isBefore(past) && RECORD.date(i).getYear() == YEAR;
            low[i] = RECORD.tminC(i) + (other ? 10 : 0);
            high[i] = RECORD.tmaxC(i) + (other ? 10 : 0);
            rain[i] = RECORD.rainMm(i) + (other ? 20 : 0);
        }
        return WeatherSeries.of(RECORD.first(), low, high, rain);
    }

    @Test
    void nothing_that_comes_after_the_days_told_moves_anything_on_a_day() {
        LocalDate day = LocalDate.of(2027, 4, 2);
        LocalDate untold = LocalDate.of(YEAR, 4, 12);
        DayView now = replays().day(season(plan(), RECORD), day, AS_PLANNED);
        DayView elsewise = replays().day(season(plan(), otherFrom(untold)), day, AS_PLANNED);
        assertThat(now.day()).isEqualTo(day);
        assertThat(elsewise).isEqualTo(now);
        // and what was forecast does come from what came
        assertThat(replays()
                        .day(season(plan(), otherFrom(untold.minusDays(6))), day, AS_PLANNED)
                        .sky())
                .isNotEqualTo(now.sky());
    }

    @Test
    void the_days_gone_by_are_those_of_the_past_year_in_every_member() {
        DayView then = replays().day(season(plan(), RECORD), LocalDate.of(2027, 4, 30), AS_PLANNED);
        assertThat(then.past()).isEqualTo(LocalDate.of(YEAR, 4, 30));
        var last = then.sky().lately().get(13);
        int i = RECORD.index(LocalDate.of(YEAR, 4, 29));
        assertThat(last.low()).isCloseTo(RECORD.tminC(i), within(1e-9));
        assertThat(last.rain()).isCloseTo(RECORD.rainMm(i), within(1e-9));
        assertThat(then.evaluation().weather().orElseThrow().years()).isGreaterThan(20);
    }

    @Test
    void the_forecast_of_a_day_is_always_the_same_and_worse_the_farther_off() {
        PastWeather w = PastWeather.of(
                        new app.etlo.core.weather.Climate(
                                "w", "Yard", new app.etlo.core.weather.Place(43, 0, false), RECORD),
                        java.util.stream.IntStream.range(1998, 2025).boxed().toList(),
                        2026,
                        2027,
                        YEAR)
                .orElseThrow();
        double[] error = new double[PastWeather.FORECAST_DAYS];
        int days = 0;
        for (LocalDate d = LocalDate.of(2026, 2, 1); d.isBefore(LocalDate.of(2027, 11, 1)); d = d.plusDays(1)) {
            Forecast f = w.forecast(d);
            assertThat(w.forecast(d)).isEqualTo(f);
            for (int i = 0; i < error.length; i++) {
                WeatherSeries s = w.climate().series();
                error[i] += Math.abs(f.days().get(i).tmaxC() - s.tmaxC(s.index(d.plusDays(i))));
            }
            days++;
        }
        for (int i = 0; i < error.length; i++) {
            error[i] /= days;
        }
        assertThat(error[0]).isBetween(0.5, 2.0);
        assertThat(error[9]).isBetween(2.0, 6.0);
        assertThat(error[4]).isBetween(error[0], error[9]);
    }

    @Test
    void it_halts_where_something_is_to_be_done_and_goes_on_as_chosen() {
        Replays replays = replays();
        Replays.Season season = season(plan(), RECORD);
        DayView first = replays.day(season, LocalDate.of(2027, 8, 1), List.of());
        assertThat(first.day()).isEqualTo(LocalDate.of(2026, 9, 10));
        assertThat(first.asks()).extracting(ReplayViews.Ask::what).containsExactly("sow the cover");
        // put off by a week, it asks again then
        List<ReplayChoice> choices = new ArrayList<>(List.of(
                new ReplayChoice(LocalDate.of(2026, 9, 10), "sow", "v1", LocalDate.of(2026, 9, 17), Optional.empty())));
        DayView later = replays.day(season, LocalDate.of(2027, 8, 1), choices);
        assertThat(later.day()).isEqualTo(LocalDate.of(2026, 9, 17));
        choices.add(done("2026-09-17", "sow", "v1"));
        DayView spring = replays.day(season, LocalDate.of(2027, 8, 1), choices);
        assertThat(spring.day()).isEqualTo(LocalDate.of(2027, 5, 1));
        assertThat(spring.asks().get(0).methods().get(0).id()).isEqualTo("roller-crimper");
        assertThat(spring.soon()).extracting(ReplayViews.Ask::subject).containsExactly("c2");
        // what could be done today instead is brought forward
        choices.add(done("2027-04-20", "end", "v1"));
        choices.add(done("2027-05-12", "sow", "c2"));
        DayView end = replays.day(season, LocalDate.of(2027, 12, 31), choices);
        assertThat(end.day()).isEqualTo(end.to()).isEqualTo(LocalDate.of(2027, 10, 10));
        assertThat(end.asks()).isEmpty();
    }

    @Test
    void the_end_tells_the_plan_the_choice_and_other_days_and_what_was_expected() {
        Replays replays = replays();
        Replays.Season season = season(plan(), RECORD);
        List<ReplayChoice> choices = List.of(
                done("2026-09-10", "sow", "v1"), done("2027-04-16", "end", "v1"), done("2027-05-12", "sow", "c2"));
        EndView end = replays.end(season, choices);
        assertThat(end.figures()).extracting(ReplayViews.Outcome::id).contains("grow/v1/mass", "grow/c2/water");
        var mass = end.figures().stream()
                .filter(f -> f.id().equals("grow/v1/mass"))
                .findFirst()
                .orElseThrow();
        assertThat(mass.chosen().orElseThrow().value())
                .isLessThan(mass.planned().orElseThrow().value());
        Judged ended = end.choices().stream()
                .filter(j -> j.kind().equals("end"))
                .findFirst()
                .orElseThrow();
        assertThat(ended.planned()).isEqualTo(LocalDate.of(2027, 5, 1));
        assertThat(ended.done()).isEqualTo(LocalDate.of(2027, 4, 16));
        assertThat(ended.came()).isEqualTo(mass.chosen());
        assertThat(ended.expected().orElseThrow().lowValue().orElseThrow())
                .isLessThan(ended.came().orElseThrow().highValue().orElseThrow());
        List<Tried> tried = replays.otherDays(season, choices, "end", "v1").tried();
        assertThat(tried).hasSizeGreaterThan(12);
        assertThat(tried).extracting(Tried::day).contains(ended.planned(), ended.done());
        // a rye with vetch only grows in April and May: later ends never weigh less but for a leaf that falls
        List<Double> byDay = tried.stream()
                .map(t -> t.values().stream()
                        .filter(v -> v.id().equals("grow/v1/mass"))
                        .findFirst()
                        .orElseThrow()
                        .value())
                .toList();
        for (int i = 1; i < byDay.size(); i++) {
            assertThat(byDay.get(i)).isGreaterThan(0.99 * byDay.get(i - 1));
        }
    }

    /** The day that was chosen, among the others, gives what the end shows; the plan's own day what the plan gave. */
    @Test
    void other_days_agree_with_the_end_where_they_are_the_same_days() {
        Replays replays = replays();
        Replays.Season season = season(plan(), RECORD);
        List<ReplayChoice> choices = List.of(
                done("2026-09-10", "sow", "v1"), done("2027-04-16", "end", "v1"), done("2027-05-12", "sow", "c2"));
        EndView end = replays.end(season, choices);
        List<Tried> tried = replays.otherDays(season, choices, "end", "v1").tried();
        for (ReplayViews.Outcome outcome : end.figures()) {
            assertThat(value(tried, "2027-04-16", outcome.id()))
                    .isEqualTo(outcome.chosen().orElseThrow().value());
            assertThat(value(tried, "2027-05-01", outcome.id()))
                    .isCloseTo(outcome.planned().orElseThrow().value(), within(1e-9));
        }
    }

    private static double value(List<Tried> tried, String day, String figureId) {
        return tried.stream()
                .filter(t -> t.day().equals(LocalDate.parse(day)))
                .flatMap(t -> t.values().stream())
                .filter(v -> v.id().equals(figureId))
                .findFirst()
                .orElseThrow()
                .value();
    }

    @Test
    void choices_as_planned_come_out_as_the_plan() {
        EndView end = replays().end(season(plan(), RECORD), AS_PLANNED);
        assertThat(end.figures()).allSatisfy(f -> assertThat(f.chosen()).isEqualTo(f.planned()));
    }

    /** The wettest spring is found by adding up its days one by one. */
    @Test
    void remarkable_years_are_those_of_the_record() {
        Replays.Season s = season(plan(), RECORD);
        var years = replays().years(s.plan(), s.context(), TODAY, "v1");
        int wettest = 0;
        double most = -1;
        for (int y : years.years()) {
            double mm = 0;
            for (int i = 0; i < RECORD.days(); i++) {
                LocalDate d = RECORD.date(i);
                mm += d.getYear() == y && d.getMonthValue() >= 3 && d.getMonthValue() <= 5 ? RECORD.rainMm(i) : 0;
            }
            if (mm > most) {
                most = mm;
                wettest = y;
            }
        }
        PastYears.Pick pick = years.picks().stream()
                .filter(p -> p.kind().equals("wettest-spring"))
                .findFirst()
                .orElseThrow();
        assertThat(pick.year()).isEqualTo(wettest);
        assertThat(pick.words()).startsWith(Math.round(most) + " mm; usually ");
        assertThat(years.years()).doesNotContain(1998, 2026).contains(2024);
    }

    @Test
    void what_cannot_be_gone_through_is_refused_with_its_reason() {
        Replays.Season s = season(plan(), RECORD);
        assertThatThrownBy(() ->
                        replays().day(new Replays.Season(s.plan(), s.context(), TODAY, "v1", 1950), TODAY, List.of()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no such year");
        assertThatThrownBy(() -> replays().years(s.plan(), s.context(), TODAY, "v9"))
                .hasMessageContaining("no such cover");
        Replays.Season undated = season(
                FieldPlans.of()
                        .field("\"weather\":\"w\",\"point\":{\"lat\":43,\"lon\":-30}")
                        .crop("grain-corn", "2027-05-12", "2027-10-10")
                        .cover("v1", "before", "c1", "", "cereal-rye"),
                RECORD);
        assertThatThrownBy(() -> replays().years(undated.plan(), undated.context(), TODAY, "v1"))
                .hasMessageContaining("when the cover is sown");
        assertThatThrownBy(() -> replays().otherDays(s, AS_PLANNED, "end", "c1"))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("nothing like that");
        assertThatThrownBy(() -> new ReplayChoice(TODAY, "sow", "v1", TODAY.minusDays(1), Optional.empty()))
                .hasMessageContaining("past");
    }
}
