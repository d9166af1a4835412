package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.GroundEvent;
import app.etlo.core.ground.GroundRun;
import app.etlo.core.ground.GroundScript;
import app.etlo.core.ground.GroundSimulation;
import app.etlo.core.ground.GroundSoil;
import app.etlo.core.ground.GroundWeather;
import app.etlo.core.plan.growth.GroundEvents.Standing;
import app.etlo.core.quantity.Band;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A plan's ground as simulated over the weather years, read by dates and stands.
 */
public final class PlanGround {
    private final LocalDate from;
    private final GroundScript script;
    private final GroundWeather weather;
    private final GroundRun run;
    private final GroundCourse course;
    private final List<Standing> standings;
    private final GroundSoil soil;
    /** Plants that should come up, by place, /m2. */
    private final Map<Integer, Double> sownM2 = new HashMap<>();
    /** Middles by record and variable, made when first asked for. */
    private final Map<Long, Band> bands = new HashMap<>();

    private PlanGround(
            LocalDate from,
            GroundSoil soil,
            GroundScript script,
            GroundWeather weather,
            GroundRun run,
            List<Standing> standings) {
        this.soil = soil;
        this.from = from;
        this.script = script;
        this.weather = weather;
        this.run = run;
        this.course = run.course();
        this.standings = List.copyOf(standings);
        script.events().stream()
                .filter(GroundEvent.Sow.class::isInstance)
                .map(GroundEvent.Sow.class::cast)
                .forEach(s -> sownM2.put(s.plant(), s.plantsM2()));
        script.events().stream()
                .filter(GroundEvent.Observe.class::isInstance)
                .map(GroundEvent.Observe.class::cast)
                .forEach(o -> sownM2.merge(o.plant(), o.standFactor(), (a, b) -> a * b));
    }

    /**
     * Simulates a plan's ground, from the day on which it differs from an earlier run.
     *
     * @param earlier one that is like it
     */
    public static PlanGround of(
            LocalDate from, GroundEvents events, GroundSoil soil, GroundWeather weather, Optional<GroundRun> earlier) {
        return until(from, events, soil, weather, earlier, weather.days());
    }

    /** The same to before a day: nothing later means anything in it. */
    static PlanGround until(
            LocalDate from,
            GroundEvents events,
            GroundSoil soil,
            GroundWeather weather,
            Optional<GroundRun> earlier,
            int to) {
        GroundScript script = events.script(soil);
        GroundRun run = new GroundSimulation(script, weather).kept(earlier, to);
        return new PlanGround(from, soil, script, weather, run, events.standings());
    }

    /** What branches go on from: every day recorded from one to before another, states saved before some days besides. */
    static PlanGround trunk(
            LocalDate from,
            GroundEvents events,
            GroundSoil soil,
            GroundWeather weather,
            Optional<GroundRun> earlier,
            int dailyFrom,
            int to,
            int[] alsoBefore) {
        GroundScript script = events.script(soil);
        GroundRun run = new GroundSimulation(script, weather).trunk(earlier, dailyFrom, to, alsoBefore);
        return new PlanGround(from, soil, script, weather, run, events.standings());
    }

    /** How other events go on from this run: the usual records from one day to before another. */
    GroundCourse branch(GroundEvents events, LocalDate first, LocalDate end) {
        return new GroundSimulation(events.script(soil), weather).records(day(first), day(end), Optional.of(run));
    }

    /** Every day from one to before another, in every weather year. */
    public GroundCourse days(LocalDate first, LocalDate end) {
        return new GroundSimulation(script, weather).days(day(first), day(end), Optional.of(run));
    }

    public GroundRun run() {
        return run;
    }

    public GroundCourse course() {
        return course;
    }

    public GroundSoil soil() {
        return soil;
    }

    public LocalDate from() {
        return from;
    }

    public int day(LocalDate date) {
        return (int) ChronoUnit.DAYS.between(from, date);
    }

    /** Whether a day is simulated, with an evening before it. */
    public boolean covers(LocalDate date) {
        int d = day(date);
        return d > 0 && d <= course.recordedDay(course.records() - 1);
    }

    /** The record of the evening before a day: what is there when something is done on it. */
    public int before(LocalDate date) {
        return course.recordOf(day(date) - 1);
    }

    public List<Standing> standings() {
        return standings;
    }

    public List<Standing> of(String standId) {
        return standings.stream().filter(s -> s.standId().equals(standId)).toList();
    }

    /** Plants that stand on a record's day, middle of the years, /m2. */
    public double plantsM2(List<Integer> plants, int record) {
        return plants.stream()
                .mapToDouble(p -> sownM2.getOrDefault(p, 0.0)
                        * band(record, p, OfPlant.STAND).middle())
                .sum();
    }

    public boolean has(String standId, String plantId) {
        return of(standId).stream().anyMatch(s -> s.plantId().equals(plantId));
    }

    /** Place among the plants of one of a stand. */
    public int plant(String standId, String plantId) {
        return of(standId).stream()
                .filter(s -> s.plantId().equals(plantId))
                .mapToInt(Standing::index)
                .findFirst()
                .orElseThrow();
    }

    /** The species or crop that a place among the plants stands for. */
    public String plantId(int plant) {
        return standings.get(plant).plantId();
    }

    public List<Integer> plants(String standId) {
        return of(standId).stream().map(Standing::index).toList();
    }

    /** Of the years; its middle is such that the tops of a stand's plants, and the nitrogen in them, add up to the stand's. */
    public Band band(int record, int plant, OfPlant v) {
        if (v == OfPlant.MASS_KG_HA || v == OfPlant.NITROGEN_KG_HA) {
            if (!bands.containsKey(key(record, plant, v))) {
                parts(record, plants(standings.get(plant).standId()), v);
            }
            return bands.get(key(record, plant, v));
        }
        return bands.computeIfAbsent(key(record, plant, v), k -> GroundCourse.band(course.plant(record, plant, v)));
    }

    private static long key(int record, int plant, OfPlant v) {
        return ((long) record * 1000 + plant) * 100 + v.ordinal();
    }

    /** Of all plants of a stand at once, since each is a share of them. */
    private void parts(int record, List<Integer> plants, OfPlant v) {
        double[] parts = v == OfPlant.MASS_KG_HA
                ? StandParts.massKgHa(course, record, plants)
                : StandParts.nitrogenKgHa(course, record, plants);
        for (int i = 0; i < parts.length; i++) {
            Band years = GroundCourse.band(course.plant(record, plants.get(i), v));
            bands.put(
                    key(record, plants.get(i), v),
                    new Band(Math.min(parts[i], years.low()), parts[i], Math.max(parts[i], years.high())));
        }
    }

    public Band band(int record, OfGround v) {
        long key = -((long) record * 100 + v.ordinal()) - 1;
        return bands.computeIfAbsent(key, k -> GroundCourse.band(course.ground(record, v)));
    }

    /** A value of a plant on a day, between the records around it, as far as one evening. */
    public Band on(LocalDate date, int plant, OfPlant v, LocalDate lastEvening) {
        int day = Math.min(day(date), day(lastEvening));
        int r = course.recordOf(day);
        Band at = band(r, plant, v);
        if (r + 1 >= course.records() || course.recordedDay(r) == day || course.recordedDay(r + 1) > day(lastEvening)) {
            return at;
        }
        Band next = band(r + 1, plant, v);
        double t = (double) (day - course.recordedDay(r)) / (course.recordedDay(r + 1) - course.recordedDay(r));
        return new Band(
                at.low() + t * (next.low() - at.low()),
                at.middle() + t * (next.middle() - at.middle()),
                at.high() + t * (next.high() - at.high()));
    }
}
