package app.etlo.core.ground;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.Choices;
import app.etlo.core.field.Texture;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.Forecast;
import app.etlo.core.weather.Place;
import app.etlo.core.weather.WeatherSeries;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

/** What must hold of the ground whatever is sown and done: balances close, order does not matter, more never gives less. */
class GroundLawsTest {
    private static final List<String> SPECIES =
            Trials.KNOWLEDGE.species().all().stream().map(s -> s.id()).toList();

    @Provide
    Arbitrary<String> species() {
        return Arbitraries.of(SPECIES);
    }

    @Provide
    Arbitrary<Choices> choices() {
        return Choices.upTo(150);
    }

    /** Every sort of event on days that choices give. */
    private static List<GroundEvent> events(Random r, List<GroundPlant> plants, int days) {
        List<GroundEvent> events = new ArrayList<>();
        for (int p = 0; p < plants.size(); p++) {
            events.add(new GroundEvent.Sow(r.nextInt(days / 2), "s" + p, p, 20 + r.nextInt(300), r.nextBoolean()));
            if (r.nextBoolean()) {
                events.add(new GroundEvent.Harvest(
                        days / 2 + r.nextInt(days / 2), "h" + p, p, r.nextDouble(), r.nextDouble(), r.nextDouble()));
            }
        }
        for (int i = 0; i < 7; i++) {
            int day = r.nextInt(days);
            String key = "e" + i;
            events.add(
                    switch (i) {
                        case 0 -> new GroundEvent.Fertilise(day, key, 30 * r.nextDouble());
                        case 1 -> new GroundEvent.Irrigate(day, key, 80 * r.nextDouble());
                        case 2 -> new GroundEvent.Pass(day, key, r.nextDouble(), r.nextDouble());
                        case 6 ->
                            new GroundEvent.Begin(
                                    day,
                                    key,
                                    new GroundStart(80 * r.nextDouble(), 6000 * r.nextDouble(), 60, 0.3, 0.005, true),
                                    r.nextDouble());
                        case 3 -> new GroundEvent.Graze(day, key, r.nextDouble(), r.nextDouble());
                        case 4 ->
                            new GroundEvent.Observe(
                                    day,
                                    key,
                                    0,
                                    0.5 + r.nextDouble(),
                                    0.5 + r.nextDouble(),
                                    r.nextDouble(),
                                    r.nextDouble() - 0.5,
                                    0.7 + 0.6 * r.nextDouble());
                        default ->
                            new GroundEvent.Terminate(
                                    day,
                                    key,
                                    plants.stream()
                                            .map(p -> GroundEvent.Kill.whole(r.nextDouble()))
                                            .toList(),
                                    r.nextDouble());
                    });
        }
        return events;
    }

    private static List<GroundPlant> plants(List<String> ids) {
        return ids.stream().map(Trials::plant).toList();
    }

    /** Water in mm and nitrogen in kg/ha, closed on every day of a year in which everything happens. */
    @Property(tries = 60)
    void balances_close_every_day(
            @ForAll("speciesList") List<String> ids,
            @ForAll("choices") Choices choices,
            @ForAll @IntRange(max = 19) int member,
            @ForAll boolean southern,
            @ForAll @IntRange(max = 8) int texture) {
        List<GroundPlant> plants = plants(ids);
        Trials t = southern ? Trials.south("2025-03-01", "2026-07-01") : Trials.north("2025-03-01", "2026-07-01");
        GroundWeather weather = t.weather();
        Texture soil = Texture.values()[texture];
        GroundScript script =
                new GroundScript(Trials.soil(soil, 3, 1.5), plants, events(choices, plants, weather.days));
        GroundState s = new GroundState(script.soil, script.plants);
        double water = s.water();
        double nitrogen = s.nitrogenIn();
        new GroundLoop(script, weather).play(member, 0, weather.days, s, day -> {
            GroundBooks b = day.books;
            double in = b.rainMm + b.irrigationMm - b.evaporationMm - b.transpirationMm - b.drainageMm - b.runoffMm;
            assertThat(day.water() - water).as("water on day " + day.day).isCloseTo(in, within(1e-6));
            double n = b.mineralisedN
                    + b.fixedN
                    + b.seedN
                    + b.rainN
                    + b.fertiliserN
                    + b.correctedN
                    - b.leachedN
                    - b.removedN
                    - b.humusN;
            assertThat(10 * (day.nitrogenIn() - nitrogen))
                    .as("nitrogen on day " + day.day)
                    .isCloseTo(10 * n, within(1e-6));
            for (int l = 0; l < GroundSoil.LAYERS; l++) {
                assertThat(day.nitrate[l]).isGreaterThanOrEqualTo(-1e-9);
                assertThat(day.waterMm[l]).isBetween(0.0, day.soil.saturationMm[l] + 1e-6);
            }
        });
    }

    private static org.assertj.core.data.Offset<Double> within(double v) {
        return org.assertj.core.data.Offset.offset(v);
    }

    @Provide
    Arbitrary<List<String>> speciesList() {
        return Arbitraries.of(SPECIES).list().uniqueElements().ofMinSize(1).ofMaxSize(5);
    }

    /** No plant takes more light than it would alone, and all together no more than falls in. */
    @Property(tries = 500)
    void light_is_shared_and_not_made(
            @ForAll("speciesList") List<String> ids,
            @ForAll @Size(5) List<@DoubleRange(max = 7) Double> leaves,
            @ForAll @Size(5) List<@DoubleRange(max = 2.5) Double> heights) {
        GroundState s = new GroundState(Trials.siltLoam(), plants(ids).toArray(GroundPlant[]::new));
        for (int p = 0; p < ids.size(); p++) {
            s.status[p] = GroundState.UP;
            s.leafArea[p] = leaves.get(p);
            s.height[p] = heights.get(p);
            s.join(p);
        }
        LightSharing.pass(s);
        double sum = 0;
        for (int p = 0; p < ids.size(); p++) {
            double alone = 1 - Math.exp(-s.plant[p].kind.extinction() * s.leafArea[p]);
            assertThat(s.light[p]).isBetween(0.0, alone + 1e-12);
            sum += s.light[p];
        }
        assertThat(sum).isLessThanOrEqualTo(1 + 1e-12);
        assertThat(sum).isCloseTo(1 - Math.exp(-s.leafExtinction()), within(1e-9));
    }

    @Property(tries = 40)
    void events_of_a_day_may_be_given_in_any_order(
            @ForAll("speciesList") List<String> ids, @ForAll("choices") Choices choices) {
        List<GroundPlant> plants = plants(ids);
        GroundWeather weather = Trials.north("2025-03-01", "2025-12-01").weather();
        List<GroundEvent> events = new ArrayList<>(events(choices, plants, 20));
        double[] first = end(plants, events, weather);
        Collections.shuffle(events, choices);
        assertThat(end(plants, events, weather)).isEqualTo(first);
    }

    private static double[] end(List<GroundPlant> plants, List<GroundEvent> events, GroundWeather weather) {
        GroundScript script = new GroundScript(Trials.siltLoam(), plants, events);
        GroundState s = new GroundState(script.soil, script.plants);
        new GroundLoop(script, weather).play(3, 0, weather.days, s, day -> {});
        double[] found = Arrays.copyOf(s.mass, s.mass.length + 2);
        found[s.mass.length] = s.water();
        found[s.mass.length + 1] = s.nitrogenIn();
        return found;
    }

    /** A mild, wet place without frost: 6 mm of rain a day, nights and days as given, getting cooler or not. */
    static Climate mild(double startC, double fallPerDay) {
        int n = 500;
        double[] low = new double[n];
        double[] high = new double[n];
        double[] rain = new double[n];
        for (int i = 0; i < n; i++) {
            double mean = Math.max(3, startC - fallPerDay * i);
            low[i] = mean - 2;
            high[i] = mean + 6;
            rain[i] = 5;
        }
        return new Climate(
                "mild", "Mild", new Place(45, 50, false), WeatherSeries.of(LocalDate.of(2024, 9, 1), low, high, rain));
    }

    private static final int MILD_DAYS = 100;

    private static GroundState play(
            Climate climate, List<GroundPlant> plants, List<? extends GroundEvent> events, GroundLoop.Watcher watcher) {
        List<GroundEvent> all = new ArrayList<>(events);
        for (int d = 0; d < MILD_DAYS; d += 5) {
            all.add(new GroundEvent.Fertilise(d, "feed", 20));
        }
        LocalDate first = LocalDate.of(2024, 9, 1);
        LocalDate asOf = LocalDate.of(2025, 12, 31);
        GroundWeather weather = GroundWeather.of(
                new YearsAhead(climate, Forecast.NONE, asOf, first, first.plusDays(MILD_DAYS)), asOf, 1);
        GroundScript script = new GroundScript(Trials.soil(Texture.LOAM, 4, 1.8), plants, all);
        GroundState s = new GroundState(script.soil, script.plants);
        new GroundLoop(script, weather).play(0, 0, MILD_DAYS, s, watcher);
        return s;
    }

    /** Mass, kg/ha, of each plant day by day where neither water nor nitrogen lacks, and the stage that the first comes to. */
    private static double[][] fed(
            Climate climate, List<GroundPlant> plants, List<? extends GroundEvent> events, double[] stage) {
        double[][] found = new double[MILD_DAYS][plants.size()];
        GroundState s = play(climate, plants, events, day -> {
            for (int p = 0; p < plants.size(); p++) {
                found[day.day][p] = 10 * day.mass[p];
            }
        });
        stage[0] = s.stage[0];
        return found;
    }

    private static double[] earlyCover(GroundPlant plant, double plantsM2) {
        double[] found = new double[MILD_DAYS];
        play(
                mild(16, 0),
                List.of(plant),
                List.of(sow(0, 0, plantsM2)),
                day -> found[day.day] = 1 - Math.exp(-day.leafExtinction()));
        return found;
    }

    private static GroundEvent.Sow sow(int day, int plant, double plantsM2) {
        return new GroundEvent.Sow(day, "s" + plant, plant, plantsM2, false);
    }

    @Property(tries = 150)
    void more_seed_never_lowers_early_cover(
            @ForAll("species") String id,
            @ForAll @DoubleRange(min = 5, max = 500) double few,
            @ForAll @DoubleRange(min = 1, max = 3) double more) {
        GroundPlant plant = Trials.plant(id);
        double[] thin = earlyCover(plant, few);
        double[] thick = earlyCover(plant, few * more);
        for (int d = 0; d < 45; d++) {
            assertThat(thick[d]).as(id + " on day " + d).isGreaterThanOrEqualTo(thin[d] - 1e-9);
        }
    }

    /** Of stands that have not come to bloom: one that flowered in the warmth of an early sowing may well end lighter. */
    @Property(tries = 250)
    void later_autumn_sowing_never_gains_before_the_freeze(
            @ForAll("species") String id,
            @ForAll @IntRange(max = 50) int day,
            @ForAll @IntRange(min = 1, max = 40) int later) {
        GroundPlant plant = Trials.plant(id);
        Climate autumn = mild(22, 0.2);
        double[] stage = new double[1];
        double early = fed(autumn, List.of(plant), List.of(sow(day, 0, 150)), stage)[MILD_DAYS - 1][0];
        Assume.that(stage[0] < 0.6);
        double late = fed(autumn, List.of(plant), List.of(sow(day + later, 0, 150)), stage)[MILD_DAYS - 1][0];
        assertThat(late).as(id).isLessThanOrEqualTo(early + 1e-6);
    }

    @Property(tries = 150)
    void in_a_mix_a_species_never_exceeds_its_pure_stand(
            @ForAll("species") String id,
            @ForAll("species") String other,
            @ForAll @DoubleRange(min = 10, max = 300) double plants,
            @ForAll @DoubleRange(min = 10, max = 300) double others) {
        GroundPlant plant = Trials.plant(id);
        double[][] pure = fed(mild(16, 0), List.of(plant), List.of(sow(0, 0, plants)), new double[1]);
        double[][] mixed = fed(
                mild(16, 0),
                List.of(plant, Trials.plant(other)),
                List.of(sow(0, 0, plants), sow(0, 1, others)),
                new double[1]);
        double tallest = 0;
        for (int d = 0; d < MILD_DAYS; d++) {
            tallest = Math.max(tallest, pure[d][0]);
            assertThat(mixed[d][0])
                    .as(id + " with " + other + " on day " + d)
                    .isLessThanOrEqualTo(tallest * (1 + 1e-9) + 1e-9);
        }
    }
}
