package app.etlo.core.ground;

import app.etlo.core.field.SoilProfile;
import app.etlo.core.field.Texture;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.knowledge.PlantKind;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.Forecast;
import app.etlo.core.weather.Place;
import app.etlo.core.weather.WeatherGenerator;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Origin;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;

/** Field trials on paper: a silt loam, a climate, some species sown on a day. */
final class Trials {
    static final Knowledge KNOWLEDGE = KnowledgeLoader.shipped();
    private static final int FIRST_YEAR = 1996;
    static final int YEARS = 20;

    private final Climate climate;
    private final LocalDate from;
    private final LocalDate to;
    private final List<GroundPlant> plants = new ArrayList<>();
    private final List<GroundEvent> events = new ArrayList<>();
    private final GroundSoil soil = siltLoam();

    private Trials(Climate climate, LocalDate from, LocalDate to) {
        this.climate = climate;
        this.from = from;
        this.to = to;
    }

    /** At 43 degrees north, humid continental. */
    static Trials north(String from, String to) {
        return new Trials(NORTH, LocalDate.parse(from), LocalDate.parse(to));
    }

    /** At 33 degrees north, humid with hot summers. */
    static Trials south(String from, String to) {
        return new Trials(SOUTH, LocalDate.parse(from), LocalDate.parse(to));
    }

    static Trials at(Climate climate, String from, String to) {
        return new Trials(climate, LocalDate.parse(from), LocalDate.parse(to));
    }

    static final Climate NORTH = station("tarrow-ridge", FIRST_YEAR);
    static final Climate SOUTH = station("lowmarl", FIRST_YEAR);

    static Climate station(String id, int firstYear) {
        var s = KNOWLEDGE.stations().get(id);
        return new Climate(
                id,
                s.name(),
                new Place(s.latitude(), s.elevationM(), s.coastal()),
                new WeatherGenerator(s).years(firstYear, firstYear + YEARS));
    }

    static GroundSoil siltLoam() {
        return soil(Texture.SILT_LOAM, 2.5, 1.8);
    }

    static GroundSoil soil(Texture t, double organic, double rootingM) {
        return GroundSoil.of(new SoilProfile(
                List.of(
                        new SoilProfile.Layer(
                                0,
                                0.3,
                                t.sandPercent(),
                                t.clayPercent(),
                                organic,
                                0,
                                Origin.ENTERED,
                                Origin.ENTERED,
                                "trial"),
                        new SoilProfile.Layer(
                                0.3,
                                1.5,
                                t.sandPercent(),
                                t.clayPercent(),
                                organic * 0.4,
                                0,
                                Origin.ENTERED,
                                Origin.ENTERED,
                                "trial")),
                rootingM));
    }

    static GroundPlant plant(String species) {
        PlantKind kind = KNOWLEDGE.plantKinds().species(species);
        return GroundPlant.of(
                KNOWLEDGE.species().get(species),
                kind,
                KNOWLEDGE.species().get(kind.model().orElse(species)));
    }

    int day(String date) {
        return (int) ChronoUnit.DAYS.between(from, LocalDate.parse(date));
    }

    /** Sows a species by plants that come up, /m2. */
    Trials sow(String species, double plantsM2, String date) {
        return sow(plant(species), plantsM2, date, false);
    }

    Trials sow(GroundPlant plant, double plantsM2, String date, boolean onSurface) {
        plants.add(plant);
        events.add(new GroundEvent.Sow(day(date), "p" + plants.size(), plants.size() - 1, plantsM2, onSurface));
        return this;
    }

    Trials sowCrop(String crop, double plantsM2, String date) {
        return sow(
                GroundPlant.of(
                        KNOWLEDGE.crops().get(crop), KNOWLEDGE.plantKinds().crop(crop)),
                plantsM2,
                date,
                false);
    }

    Trials event(GroundEvent e) {
        events.add(e);
        return this;
    }

    Trials kill(String date) {
        List<GroundEvent.Kill> all =
                plants.stream().map(p -> new GroundEvent.Kill(1, 1)).toList();
        return event(new GroundEvent.Terminate(day(date), "kill", all, 0));
    }

    Trials feed(String date, double kgHa) {
        return event(new GroundEvent.Fertilise(day(date), "feed " + date, kgHa / 10));
    }

    GroundScript script() {
        return new GroundScript(soil, plants, events);
    }

    GroundWeather weather() {
        return GroundWeather.of(new YearsAhead(climate, Forecast.NONE, from, from, to), from, 1);
    }

    Grown run() {
        return new Grown(this, new GroundSimulation(script(), weather()).run());
    }

    /** What grew. */
    record Grown(Trials trial, GroundCourse course) {
        int at(String date) {
            return course.recordOf(trial.day(date));
        }

        double middle(int plant, GroundCourse.OfPlant v, String date) {
            return GroundCourse.band(course.plant(at(date), plant, v)).middle();
        }

        double tHa(int plant, String date) {
            return middle(plant, GroundCourse.OfPlant.MASS_KG_HA, date) / 1000;
        }

        double nitrogen(int plant, String date) {
            return middle(plant, GroundCourse.OfPlant.NITROGEN_KG_HA, date);
        }

        /** Carbon over nitrogen, of middles. */
        double cn(int plant, String date) {
            return 430 * tHa(plant, date) / nitrogen(plant, date);
        }
    }
}
