package app.etlo.core.ground;

import app.etlo.core.field.SoilProfile;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.knowledge.PlantKind;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.Forecast;
import app.etlo.core.weather.Place;
import app.etlo.core.weather.WeatherGenerator;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Four years of a rotation with two covers, played over weather years: the whole run, and the day loop by itself. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class SimulationBenchmark {
    private static final String[] SPECIES = {
        "cereal-rye",
        "spring-oats",
        "hairy-vetch",
        "crimson-clover",
        "daikon-radish",
        "phacelia",
        "winter-pea",
        "red-clover"
    };

    @Param({"30", "15"})
    public int weatherYears;

    @Param({"8", "4"})
    public int species;

    private GroundScript script;
    private GroundWeather weather;
    private GroundState start;
    private GroundState state;

    @Setup
    public void make() {
        Knowledge k = KnowledgeLoader.shipped();
        var station = k.stations().get("tarrow-ridge");
        LocalDate from = LocalDate.of(2026, 3, 1);
        Climate climate = new Climate(
                "t",
                "t",
                new Place(station.latitude(), station.elevationM(), false),
                new WeatherGenerator(station).years(2026 - weatherYears, 2025));
        weather = GroundWeather.of(new YearsAhead(climate, Forecast.NONE, from, from, from.plusYears(4)), from, 1);
        List<GroundPlant> plants = new ArrayList<>();
        List<GroundEvent> events = new ArrayList<>();
        for (int year = 0; year < 4; year++) {
            String crop = year % 2 == 0 ? "grain-corn" : "soybean";
            int base = 365 * year;
            plants.add(GroundPlant.of(k.crops().get(crop), k.plantKinds().crop(crop)));
            events.add(new GroundEvent.Sow(base + 65, "crop" + year, plants.size() - 1, 8, false));
            events.add(new GroundEvent.Harvest(base + 200, "crop" + year, plants.size() - 1, 0.5, 0.65, 0.5));
            if (year % 2 == 0) {
                for (int i = 0; i < species; i++) {
                    PlantKind kind = k.plantKinds().species(SPECIES[i]);
                    plants.add(GroundPlant.of(
                            k.species().get(SPECIES[i]),
                            kind,
                            k.species().get(kind.model().orElse(SPECIES[i]))));
                    events.add(new GroundEvent.Sow(base + 205, "cover" + i, plants.size() - 1, 40, false));
                }
                List<GroundEvent.Kill> all =
                        plants.stream().map(p -> GroundEvent.Kill.whole(1)).toList();
                events.add(new GroundEvent.Terminate(base + 425, "end" + year, all, 0.5));
            }
        }
        script = new GroundScript(GroundSoil.of(SoilProfile.usual()), plants, events);
        start = new GroundState(script.soil, script.plants);
        state = new GroundState(script.soil, script.plants);
    }

    @Benchmark
    public GroundCourse run() {
        return new GroundSimulation(script, weather).run();
    }

    /** One weather year without recording; nothing is to be allocated for a day. */
    @Benchmark
    public double loop() {
        state.copyFrom(start);
        new GroundLoop(script, weather).play(0, 0, weather.days, state, s -> {});
        return state.books.transpirationMm;
    }
}
