package app.etlo.core.ground;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.Choices;
import app.etlo.core.field.Texture;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.weather.Forecast;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;

/** A run that goes on from an earlier one gives what a run from the first day gives, to the last bit. */
class GroundMemoryTest {
    private static final List<String> IDS = List.of("cereal-rye", "hairy-vetch", "spring-oats", "crimson-clover");
    private static final int DAYS = 480;

    private static List<GroundPlant> plants(int n) {
        return IDS.subList(0, n).stream().map(Trials::plant).toList();
    }

    private static GroundWeather weather(int sharedTo) {
        LocalDate from = LocalDate.of(2015, 3, 1);
        LocalDate asOf = from.plusDays(sharedTo);
        return GroundWeather.of(new YearsAhead(Trials.NORTH, Forecast.NONE, asOf, from, from.plusDays(DAYS)), asOf, 1);
    }

    /** Two plants sown early, the others from day 200 on, and things done all along. */
    private static List<GroundEvent> events(Random r, int plants) {
        List<GroundEvent> events = new ArrayList<>();
        for (int p = 0; p < plants; p++) {
            events.add(new GroundEvent.Sow(
                    p < 2 ? 10 + r.nextInt(60) : 200 + 10 * p, "s" + p, p, 30 + r.nextInt(200), r.nextBoolean()));
        }
        for (int i = 0; i < 8; i++) {
            int day = r.nextInt(DAYS);
            events.add(
                    i % 4 == 0
                            ? new GroundEvent.Fertilise(day, "f" + i, 10 * r.nextDouble())
                            : i % 4 == 1
                                    ? new GroundEvent.Pass(day, "p" + i, r.nextDouble(), r.nextDouble())
                                    : i % 4 == 2
                                            ? new GroundEvent.Graze(day, "g" + i, 0.5 * r.nextDouble(), r.nextDouble())
                                            : terminate(day, "t" + i, r, plants));
        }
        return events;
    }

    private static GroundEvent.Terminate terminate(int day, String key, Random r, int plants) {
        List<GroundEvent.Kill> kills = new ArrayList<>();
        for (int p = 0; p < plants; p++) {
            kills.add(GroundEvent.Kill.whole(r.nextDouble()));
        }
        return new GroundEvent.Terminate(day, key, kills, r.nextDouble());
    }

    /** What an adviser may do to a plan: move, leave out or add something, or sow one plant more or less late in it. */
    private static List<GroundEvent> changed(List<GroundEvent> events, Random r, int plants) {
        List<GroundEvent> after = new ArrayList<>(events);
        if (r.nextBoolean()) {
            after.removeIf(e -> !(e instanceof GroundEvent.Sow) && e.day() > 100 + r.nextInt(300));
        }
        after.add(new GroundEvent.Fertilise(r.nextInt(DAYS), "new", 5));
        if (plants == 4) {
            after.add(new GroundEvent.Sow(230, "s3", 3, 90, false));
        }
        return after;
    }

    @Provide
    Arbitrary<Choices> choices() {
        return Choices.upTo(150);
    }

    @Property(tries = 80)
    void going_on_from_an_earlier_run_is_the_same_as_starting_anew(
            @ForAll("choices") Choices r, @ForAll @IntRange(max = 2) int shared, @ForAll boolean oneMore) {
        GroundWeather weather = weather(170 * shared);
        List<GroundEvent> first = events(r, 3);
        GroundScript before = new GroundScript(Trials.siltLoam(), plants(3), first);
        int plants = oneMore ? 4 : 3;
        GroundScript after = new GroundScript(Trials.siltLoam(), plants(plants), changed(first, r, plants));
        GroundRun kept = new GroundSimulation(before, weather).kept(Optional.empty());
        GroundRun goneOn = new GroundSimulation(after, weather).kept(Optional.of(kept));
        same(goneOn.course(), new GroundSimulation(after, weather).run());
        // and back again, from the run that itself went on from one
        same(new GroundSimulation(before, weather).run(Optional.of(goneOn)).course(), kept.course());
    }

    @Example
    void what_an_earlier_run_made_of_a_plant_is_forgotten_where_it_no_longer_comes_up() {
        GroundWeather weather = weather(0);
        GroundEvent rye = new GroundEvent.Sow(10, "s0", 0, 200, false);
        GroundEvent vetch = new GroundEvent.Sow(220, "s1", 1, 60, false);
        GroundScript both = new GroundScript(Trials.siltLoam(), plants(2), List.of(rye, vetch));
        GroundScript alone = new GroundScript(Trials.siltLoam(), plants(2), List.of(rye));
        GroundRun kept = new GroundSimulation(both, weather).kept(Optional.empty());
        GroundCourse goneOn =
                new GroundSimulation(alone, weather).run(Optional.of(kept)).course();
        assertThat(kept.course().plant(kept.course().records() - 1, 1, OfPlant.MADE_KG_HA, 0))
                .isPositive();
        assertThat(goneOn.plant(goneOn.records() - 1, 1, OfPlant.MADE_KG_HA)).containsOnly(0);
        same(goneOn, new GroundSimulation(alone, weather).run());
    }

    @Example
    void a_plant_that_comes_up_and_dies_between_two_records_has_made_nothing_before() {
        GroundWeather weather = weather(0);
        GroundEvent sown = new GroundEvent.Sow(10, "s", 0, 200, false);
        GroundScript script = new GroundScript(Trials.siltLoam(), plants(1), List.of(sown));
        GroundCourse course = new GroundCourse(weather.members, 1, new int[] {5, 90});
        GroundCourse whole = new GroundSimulation(script, weather).run();
        GroundState s = new GroundState(script.soil, script.plants);
        new GroundLoop(script, weather).play(0, 0, 6, s, seen -> {});
        course.record(0, s, 0, weather.members);
        new GroundLoop(script, weather).play(0, 6, 91, s, seen -> {});
        assertThat(whole.plant(whole.recordOf(90), 0, OfPlant.MASS_KG_HA, 0)).isPositive();
        s.status[0] = GroundState.GONE;
        course.record(1, s, 0, weather.members);
        assertThat(course.plant(0, 0, OfPlant.PEAK_KG_HA)).containsOnly(0);
        assertThat(course.plant(1, 0, OfPlant.PEAK_KG_HA, 0)).isPositive();
        assertThat(course.plant(1, 0, OfPlant.MASS_KG_HA)).containsOnly(0);
    }

    private static void same(GroundCourse a, GroundCourse b) {
        assertThat(a.recordedDays()).isEqualTo(b.recordedDays());
        for (int i = 0; i < a.records(); i++) {
            for (OfGround v : OfGround.values()) {
                assertThat(a.ground(i, v)).as("%s of record %d", v, i).isEqualTo(b.ground(i, v));
            }
            for (int p = 0; p < a.plants(); p++) {
                for (OfPlant v : OfPlant.values()) {
                    assertThat(a.plant(i, p, v))
                            .as("%s of plant %d, record %d", v, p, i)
                            .isEqualTo(b.plant(i, p, v));
                }
            }
        }
    }

    @Example
    void the_first_day_that_differs_is_found() {
        List<GroundEvent> events = events(new Random(7), 3);
        GroundScript script = new GroundScript(Trials.siltLoam(), plants(3), events);
        List<GroundEvent> more = new ArrayList<>(events);
        more.add(new GroundEvent.Irrigate(300, "late", 20));
        assertThat(script.sameUntil(new GroundScript(Trials.siltLoam(), plants(3), more)))
                .isEqualTo(300);
        assertThat(script.sameUntil(new GroundScript(Trials.siltLoam(), plants(3), events)))
                .isEqualTo(Integer.MAX_VALUE);
        assertThat(script.sameUntil(new GroundScript(Trials.soil(Texture.LOAM, 2.5, 1.8), plants(3), events)))
                .isZero();
        assertThat(weather(0).sameUntil(Trials.south("2016-03-01", "2017-06-24").weather()))
                .isZero();
    }

    @Example
    void plants_of_another_kind_are_another_script_from_their_sowing_on() {
        GroundPlant rye = Trials.plant("cereal-rye");
        List<GroundEvent> events = List.of(new GroundEvent.Sow(150, "s", 0, 200, false));
        GroundScript one = new GroundScript(Trials.siltLoam(), List.of(rye), events);
        GroundScript other =
                new GroundScript(Trials.siltLoam(), List.of(rye.varied(GroundVariation.lightUse(1.1))), events);
        assertThat(one.sameUntil(other)).isEqualTo(150);
    }

    @Example
    void no_more_runs_are_kept_than_there_is_room_for_and_the_nearest_is_found() {
        GroundMemory memory = new GroundMemory(2, Long.MAX_VALUE);
        GroundWeather weather = weather(0);
        List<GroundEvent> events = events(new Random(3), 3);
        GroundScript script = new GroundScript(Trials.siltLoam(), plants(3), events);
        GroundRun first = new GroundSimulation(script, weather).kept(Optional.empty());
        memory.keep(first, Optional.empty());
        assertThat(memory.nearest(script, weather)).contains(first);
        GroundRun second = new GroundSimulation(script, weather).kept(Optional.of(first));
        memory.keep(second, Optional.of(first));
        assertThat(memory.size()).isEqualTo(1);
        GroundScript elsewhere = new GroundScript(Trials.soil(Texture.LOAM, 2.5, 1.8), plants(3), events);
        assertThat(memory.nearest(elsewhere, weather)).isEmpty();
        memory.keep(new GroundSimulation(elsewhere, weather).kept(Optional.empty()), Optional.empty());
        memory.keep(new GroundSimulation(elsewhere, weather).kept(Optional.empty()), Optional.empty());
        assertThat(memory.size()).isEqualTo(2);
        assertThat(memory.nearest(script, weather)).isEmpty();
    }
}
