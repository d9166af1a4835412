package app.etlo.core.ground;

import app.etlo.core.field.SoilProfile;
import app.etlo.core.field.Texture;
import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.knowledge.PlantKind;
import app.etlo.core.knowledge.Station;
import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.Forecast;
import app.etlo.core.weather.Place;
import app.etlo.core.weather.WeatherGenerator;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Origin;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleBinaryOperator;

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
    private GroundSoil soil = siltLoam();

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
    static final Climate COLD = station("vennick-plain", FIRST_YEAR);
    static final Climate MILD = station("ferrin-valley", FIRST_YEAR);
    static final Climate MARITIME = station("isk-harbour", FIRST_YEAR);
    static final Climate STEPPE = station("ochremead", FIRST_YEAR);
    static final Climate WINTER_RAIN = station("sant-oriel", FIRST_YEAR);
    static final Climate SUBTROPICS = station("amber-keys", FIRST_YEAR);
    static final Climate SOUTHERN = station("karrel-downs", FIRST_YEAR);
    /** Two series between the stations, near 36 and 40 degrees north. */
    static final Climate AT_36 = between("tarrow-ridge", "lowmarl", 0.7);

    static final Climate AT_40 = between("tarrow-ridge", "lowmarl", 0.3);

    static Climate station(String id, int firstYear) {
        return climate(KNOWLEDGE.stations().get(id), firstYear);
    }

    /** A place between two stations, a share of the way from the first to the second: an invented series of its own. */
    static Climate between(String from, String to, double share) {
        Station a = KNOWLEDGE.stations().get(from);
        Station b = KNOWLEDGE.stations().get(to);
        DoubleBinaryOperator mid = (x, y) -> x + share * (y - x);
        List<Station.Month> months = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            Station.Month x = a.months().get(i);
            Station.Month y = b.months().get(i);
            months.add(new Station.Month(
                    mid.applyAsDouble(x.tminC(), y.tminC()),
                    mid.applyAsDouble(x.tmaxC(), y.tmaxC()),
                    mid.applyAsDouble(x.rainMm(), y.rainMm()),
                    mid.applyAsDouble(x.wetDays(), y.wetDays()),
                    mid.applyAsDouble(x.daySdC(), y.daySdC()),
                    mid.applyAsDouble(x.yearSdC(), y.yearSdC()),
                    mid.applyAsDouble(x.rainCv(), y.rainCv())));
        }
        return climate(
                new Station(
                        from + "-" + to,
                        from + " to " + to,
                        a.climate(),
                        mid.applyAsDouble(a.latitude(), b.latitude()),
                        mid.applyAsDouble(a.elevationM(), b.elevationM()),
                        a.coastal(),
                        mid.applyAsDouble(a.wetPersistence(), b.wetPersistence()),
                        mid.applyAsDouble(a.rainShape(), b.rainShape()),
                        months,
                        a.source()),
                FIRST_YEAR);
    }

    private static Climate climate(Station s, int firstYear) {
        return new Climate(
                s.id(),
                s.name(),
                new Place(s.latitude(), s.elevationM(), s.coastal()),
                new WeatherGenerator(s).years(firstYear, firstYear + YEARS));
    }

    static GroundSoil siltLoam() {
        return soil(Texture.SILT_LOAM, 3, 1.8);
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

    Trials on(GroundSoil other) {
        soil = other;
        return this;
    }

    Trials water(String date, double mm) {
        return event(new GroundEvent.Irrigate(day(date), "water " + date, mm));
    }

    /** Water on so many dates, some days apart. */
    Trials water(String first, int everyDays, int times, double mm) {
        for (int i = 0; i < times; i++) {
            water(LocalDate.parse(first).plusDays((long) i * everyDays).toString(), mm);
        }
        return this;
    }

    /** Ends the plant that was sown last and takes a share of its tops, with so much of their nitrogen. */
    Trials harvest(String date, double removedShare, double removedNitrogenShare) {
        return event(new GroundEvent.Harvest(
                day(date), "h" + date, plants.size() - 1, removedShare, removedNitrogenShare, 0.4));
    }

    /** Harvests a crop that was sown last as plans do. */
    Trials harvestAsUsual(String crop, String date) {
        Crop c = KNOWLEDGE.crops().get(crop);
        double taken = c.takenShare();
        event(new GroundEvent.Harvest(
                day(date),
                "h" + date,
                plants.size() - 1,
                taken,
                Math.min(0.9, 1.5 * taken),
                c.growing().taken().standing()));
        c.growing().taken().liftedKept().ifPresent(kept -> event(new GroundEvent.Pass(day(date), "lifted", kept, 1)));
        return this;
    }

    /** Ends all that was sown so far by a method of the library. */
    Trials end(String date, String method) {
        TerminationMethod m = KNOWLEDGE.terminationMethods().get(method);
        List<GroundEvent.Kill> kills = plants.stream()
                .map(p -> KNOWLEDGE
                        .species()
                        .find(p.id())
                        .map(s -> new GroundEvent.Kill(m.kills(s), m.survivors()))
                        .orElse(GroundEvent.Kill.NONE))
                .toList();
        return event(new GroundEvent.Terminate(day(date), "end " + date, kills, m.standingShare()));
    }

    Trials kill(String date) {
        List<GroundEvent.Kill> all =
                plants.stream().map(p -> GroundEvent.Kill.whole(1)).toList();
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

        double middle(GroundCourse.OfGround v, String date) {
            return GroundCourse.band(course.ground(at(date), v)).middle();
        }

        /** Share of the tops of all plants, of middles. */
        double share(int plant, String date) {
            double all = 0;
            for (int i = 0; i < trial.plants.size(); i++) {
                all += tHa(i, date);
            }
            return tHa(plant, date) / all;
        }

        /** Carbon over nitrogen of all plants, of middles. */
        double cn(String date) {
            double mass = 0;
            double n = 0;
            for (int i = 0; i < trial.plants.size(); i++) {
                mass += tHa(i, date);
                n += nitrogen(i, date);
            }
            return 430 * mass / n;
        }

        /** Share of the years in which over three tenths of a plant's stand live. */
        double alive(int plant, String date) {
            double[] stand = course.plant(at(date), plant, GroundCourse.OfPlant.STAND);
            return Arrays.stream(stand).filter(s -> s > 0.3).count() / (double) stand.length;
        }

        /** Middle days from one day to when a stage is reached, from weekly records. */
        double daysToStage(int plant, double stage, String from) {
            double[] days = new double[course.members()];
            int start = trial.day(from);
            for (int m = 0; m < days.length; m++) {
                days[m] = 400;
                for (int r = 1; r < course.recordedDays().length; r++) {
                    int day = course.recordedDays()[r];
                    double now = course.plant(r, plant, GroundCourse.OfPlant.STAGE, m);
                    if (day >= start && now >= stage) {
                        double before = course.plant(r - 1, plant, GroundCourse.OfPlant.STAGE, m);
                        days[m] = day - (day - course.recordedDays()[r - 1]) * (now - stage) / (now - before);
                        break;
                    }
                }
            }
            return GroundCourse.band(days).middle() - start;
        }

        /** Middle difference of a book between two days, kg/ha. */
        /** Mineral nitrogen down to 60 cm, kg/ha. */
        double mineralTo60cm(String date) {
            return middle(GroundCourse.OfGround.MINERAL_N_1, date)
                    + middle(GroundCourse.OfGround.MINERAL_N_2, date)
                    + middle(GroundCourse.OfGround.MINERAL_N_3, date);
        }

        double leached(String from, String to) {
            double[] a = course.ground(at(from), GroundCourse.OfGround.LEACHED_N_KG_HA);
            double[] b = course.ground(at(to), GroundCourse.OfGround.LEACHED_N_KG_HA);
            double[] d = new double[a.length];
            for (int i = 0; i < d.length; i++) {
                d[i] = b[i] - a[i];
            }
            return GroundCourse.band(d).middle();
        }

        /** Carbon over nitrogen, of middles. */
        double cn(int plant, String date) {
            return 430 * tHa(plant, date) / nitrogen(plant, date);
        }
    }
}
