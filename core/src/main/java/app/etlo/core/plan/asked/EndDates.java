package app.etlo.core.plan.asked;

import static app.etlo.core.plan.growth.MiddleYear.around;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.ModelError;
import app.etlo.core.knowledge.CropLateness;
import app.etlo.core.knowledge.StageSpread;
import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.mix.Prospect;
import app.etlo.core.plan.chapter.EndPlanning;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanEdit;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.growth.EndBranches;
import app.etlo.core.plan.growth.StandParts;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.EndGap;
import app.etlo.core.termination.EndGaps;
import app.etlo.core.termination.EndPlanned;
import app.etlo.core.termination.EndRule;
import app.etlo.core.weather.Forecast;
import app.etlo.core.weather.Place;
import com.fasterxml.jackson.annotation.JsonValue;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * What ending a cover on one day or another gains and costs: the living stand day by day, and on days some apart the plan with the cover
 * ended then, played on from there. The day of the plan is among them, and comes to what the plan comes to.
 */
public final class EndDates {
    /** A cover is not ended sooner after its sowing. */
    private static final int AFTER_SOWING = 30;
    /** Looked at beyond the planting of the next crop, or beyond the end of the plan where none follows. */
    private static final int BEYOND_PLANTING = 21;

    private static final int BEYOND_END = 42;
    /** So long a branch is played after planting and end. */
    private static final int PLAYED_ON = 71;
    /** Days between two branches: so near the planting, farther off, and beyond. */
    private static final int[][] STEPS = {{36, 4}, {72, 12}, {156, 28}, {Integer.MAX_VALUE, 56}};
    /** The seed zone is dry when the top layer holds less of what it can hold for plants. */
    private static final double DRY = 0.5;

    private static final int DAILY_DAYS = 75;
    private static final int FAR_STEP = 4;
    private static final double RIPE = 2;
    private static final int NEXT_DAYS = 10;
    /** Growth and air temperature that a systemic spray asks for (common practice; the label decides). */
    private static final double SPRAY_DAY_C = 12;

    private static final double SPRAY_NIGHT_C = 5;
    private static final double WET_MM = 1;
    /** Less than this is no stand. */
    private static final double LEAST_KG_HA = 1;

    /** Which way a row is better. */
    public enum Better {
        MORE("more"),
        LESS("less"),
        NEITHER("neither");

        private final String id;

        Better(String id) {
            this.id = id;
        }

        @JsonValue
        public String id() {
            return id;
        }
    }

    /**
     * @param planned the day on which the plan ends it
     * @param planting of the crop that follows, {@code crop} by name
     * @param method the passes with which it is ended on each day, by name
     * @param chosen whether the plan names them
     * @param coarse whether only what lives was read, as a first answer; what the ground comes to follows
     * @param blocked days on which it should not end so, in time; what is not in them is free as far as is known
     * @param favoured days, by aim
     * @param forecastOf when the forecast was made that {@code nextDays} rest on; none of both where there is none
     * @param methodsOn the day of the plan, else the last: {@code methods} tells what every way of ending would do on it
     */
    public record DatesView(
            String coverId,
            Optional<LocalDate> planned,
            Optional<LocalDate> planting,
            Optional<String> crop,
            String method,
            boolean chosen,
            boolean coarse,
            int years,
            LocalDate from,
            LocalDate to,
            List<RowView> rows,
            List<BlockView> blocked,
            List<SpanView> favoured,
            LocalDate methodsOn,
            List<EndMethods.MethodView> methods,
            Optional<Instant> forecastOf,
            List<NextDayView> nextDays) {}

    /**
     * One consequence over the days.
     *
     * @param group stand, kill, soil or crop
     * @param change how two days are compared: by the difference, or from one value to another
     * @param decimals to which a difference is written
     */
    public record RowView(
            String id,
            String group,
            String name,
            String unit,
            Better better,
            String change,
            int decimals,
            List<PointView> points,
            Optional<String> note) {}

    /**
     * A day of the forecast, and what of it speaks against spraying and rolling; empty where nothing does.
     *
     * @param said temperatures and rain in words
     */
    public record NextDayView(LocalDate on, String said, Optional<String> spray, Optional<String> roll) {}

    /** Days on which the plan's passes would break a rule or a gap, with why. */
    public record BlockView(LocalDate from, LocalDate to, boolean stop, List<String> why) {}

    /** Days that an aim of the cover favours. */
    public record SpanView(String aim, String name, LocalDate from, LocalDate to, String why) {}

    /** The middle of the years with the least and most of 8 in 10. */
    public record PointView(LocalDate on, double low, double middle, double high, String text) {}

    private final Evaluated e;
    private final CoverResult cover;
    private final Optional<CropInTime> crop;
    private final Optional<LocalDate> planting;
    private final UnitSystem units;
    private final boolean coarse;
    private final double errorOfMass;
    private final EndMethods ways;
    private final boolean grass;
    private final Map<String, Row> rows = new LinkedHashMap<>();
    private EndBranches branches;
    private GroundCourse alive;
    private LocalDate first;
    private List<Integer> plants;
    private final Map<String, double[][]> killing = new HashMap<>();

    private record Row(
            String id,
            String group,
            String name,
            Unit unit,
            Better better,
            String change,
            Optional<String> note,
            NavigableMap<LocalDate, Band> points) {}

    private EndDates(Evaluated e, CoverResult cover, boolean coarse) {
        this.e = e;
        this.cover = cover;
        this.crop = cover.next();
        this.planting = crop.flatMap(CropInTime::planted);
        this.units = e.units();
        this.coarse = coarse;
        this.errorOfMass = e.growth().errorOfMass(cover.id());
        this.ways = new EndMethods(e, cover);
        this.grass = cover.species().stream().anyMatch(s -> s.group().isGrass());
    }

    /**
     * Of a cover.
     *
     * @param coarse whether a first answer is enough: the living stand and what would kill it, every day
     * @throws Refused when the plan has no such cover, it is not sown or simulated, or it has ended
     */
    public static DatesView of(Evaluated e, String coverId, boolean coarse) {
        CoverResult cover = e.covers().stream()
                .filter(c -> c.id().equals(coverId))
                .findFirst()
                .orElseThrow(() -> new Refused("/coverId", "the plan has no such cover"));
        if (cover.sown().isEmpty() || cover.mix().blend().isEmpty()) {
            throw new Refused(
                    "/coverId", "date the sowing and give the mix its rates: then the days of the end are compared");
        }
        return new EndDates(e, cover, coarse).view();
    }

    private DatesView view() {
        Optional<LocalDate> planned = new PlanLookup(e.plan())
                .first(Operation.End.class, cover.id())
                .flatMap(o -> Optional.ofNullable(e.dates().get(o.id())).map(d -> d.on()));
        LocalDate sown = cover.sown().orElseThrow();
        first = later(e.asOf(), sown.plusDays(AFTER_SOWING));
        LocalDate last = planting.map(p -> p.plusDays(BEYOND_PLANTING))
                .or(() -> planned.map(p -> p.plusDays(BEYOND_END)))
                .orElseGet(() -> sown.plusDays(300));
        if (!first.isBefore(last)) {
            throw new Refused("/coverId", "the days on which it could end are past");
        }
        List<TerminationMethod> method = ways.planned();
        List<LocalDate> days = days(first, last, planting.or(() -> planned).orElse(last), planned);
        branches = e.growth()
                .branches(cover.inTime(), first, d -> ended(d, method), days)
                .filter(b -> b.covers(first))
                .orElseThrow(() -> new Refused("/coverId", "nothing is simulated: the field has no weather"));
        plants = branches.alive().plants(cover.id());
        alive = branches.alive().course();
        LocalDate to = untilRipe(last);
        living(to);
        if (!coarse) {
            ground(days.stream().filter(d -> !d.isAfter(to)).toList());
        }
        LocalDate on = planned.filter(d -> !d.isBefore(first) && !d.isAfter(to)).orElse(to);
        return new DatesView(
                cover.id(),
                planned,
                planting,
                crop.map(c -> c.crop().name()),
                EndMethods.words(method),
                ways.isChosen(),
                coarse,
                alive.members(),
                first,
                to,
                rows.values().stream().map(this::view).toList(),
                blocked(to, method),
                favoured(),
                on,
                ways.views(on, this::killed, this::aliveShare),
                forecast().flatMap(Forecast::issued),
                nextDays());
    }

    /** What the ground comes to behind an end on each of some days. */
    private void ground(List<LocalDate> days) {
        Optional<EndBranches.Branch> without = planting.filter(p -> branches.covers(p.plusDays(PLAYED_ON)))
                .map(p -> branches.without(p, p.plusDays(PLAYED_ON)));
        days.forEach(d -> branch(d, without));
    }

    private Optional<Forecast> forecast() {
        return e.context()
                .forecast()
                .map(f -> f.on(e.asOf()))
                .filter(f -> !f.days().isEmpty());
    }

    /** The forecast against what a spray and a roller need; an inversion no daily figure shows. */
    private List<NextDayView> nextDays() {
        return forecast().stream()
                .flatMap(f -> IntStream.range(0, Math.min(NEXT_DAYS, f.days().size()))
                        .mapToObj(i -> nextDay(f.first().plusDays(i), f.days().get(i))))
                .filter(d -> !d.on().isBefore(e.asOf()))
                .toList();
    }

    private NextDayView nextDay(LocalDate on, Forecast.Day d) {
        Unit c = units.shown(Unit.CELSIUS);
        Unit mm = units.shown(Unit.MILLIMETRE);
        Optional<String> rain = d.rainMm() >= WET_MM ? Optional.of("rain") : Optional.empty();
        return new NextDayView(
                on,
                Shown.plain(Unit.CELSIUS.to(c, d.tminC()), 0) + " to " + Shown.plain(Unit.CELSIUS.to(c, d.tmaxC()), 0)
                        + " " + c.written() + ", " + Shown.text(Unit.MILLIMETRE.to(mm, d.rainMm()), mm) + " "
                        + mm.written(),
                rain.or(() -> d.tmaxC() < SPRAY_DAY_C
                        ? Optional.of("too cold by day")
                        : d.tminC() < SPRAY_NIGHT_C ? Optional.of("too cold by night") : Optional.empty()),
                rain.or(() -> d.tmaxC() <= 0 ? Optional.of("frozen") : Optional.empty()));
    }

    /** Runs of days that break the same rules and gaps. */
    private List<BlockView> blocked(LocalDate to, List<TerminationMethod> method) {
        EndPlanned planned = EndPlanning.of(e.inTime(), cover.inTime(), cover.clocks());
        EndPlanned so = ways.isChosen()
                ? planned
                : new EndPlanned(
                        method.stream()
                                .map(m -> new EndPlanned.Pass(first, m, Optional.empty()))
                                .toList(),
                        planned.planting(),
                        planned.grazed(),
                        planned.grass(),
                        planned.blooms());
        List<BlockView> found = new ArrayList<>();
        for (LocalDate d = first; !d.isAfter(to); d = d.plusDays(1)) {
            EndPlanned then = so.endedOn(d);
            List<String> why = new ArrayList<>();
            boolean stop = false;
            for (EndRule r : EndRule.of(then, EndPlanning.rules(e.inTime()))) {
                if (!r.holds()) {
                    why.add(r.says());
                    stop = true;
                }
            }
            for (EndGap g : EndGaps.of(then, EndPlanning.labels(e.inTime()))) {
                if (!g.holds()) {
                    why.add(g.from() + " to " + g.to() + ": " + g.wanted());
                    stop |= g.ofLabel();
                }
            }
            if (seeded(d)) {
                why.add("seed that can grow in 1 year of 10 or more");
                stop = true;
            }
            add(found, d, stop, why);
        }
        return found;
    }

    private boolean seeded(LocalDate day) {
        return seedShare(record(day)) >= 0.1;
    }

    private static void add(List<BlockView> found, LocalDate day, boolean stop, List<String> why) {
        if (why.isEmpty()) {
            return;
        }
        BlockView last = found.isEmpty() ? null : found.get(found.size() - 1);
        if (last != null && last.to().plusDays(1).equals(day) && last.why().equals(why)) {
            found.set(found.size() - 1, new BlockView(last.from(), day, stop, why));
        } else {
            found.add(new BlockView(day, day, stop, List.copyOf(why)));
        }
    }

    /** For each aim that the day decides, the days on which nearly all of what can be had is there. */
    private List<SpanView> favoured() {
        List<SpanView> found = new ArrayList<>();
        for (String aim : cover.entry().aims().orElse(List.of())) {
            String name = e.knowledge().aims().get(aim).name();
            switch (aim) {
                case "mulch", "suppress-weeds", "protect-soil", "build-organic-matter" ->
                    span(aim, name, "tops", "tops within a tenth of the most").ifPresent(found::add);
                case "fix-nitrogen", "catch-nitrogen" ->
                    span(aim, name, "nitrogen", "nitrogen in the tops within a tenth of the most")
                            .ifPresent(found::add);
                case "manage-water" ->
                    span(aim, name, "water", "soil water at planting within a tenth of the most")
                            .ifPresent(found::add);
                default -> {
                    // the day of the end decides nothing of the others
                }
            }
        }
        return found;
    }

    private Optional<SpanView> span(String aim, String name, String row, String why) {
        Row r = rows.get(row);
        if (r == null) {
            return Optional.empty();
        }
        double most =
                r.points().values().stream().mapToDouble(Band::middle).max().orElse(0);
        List<LocalDate> days = r.points().entrySet().stream()
                .filter(x -> x.getValue().middle() >= 0.9 * most && !seeded(x.getKey()))
                .map(Map.Entry::getKey)
                .toList();
        return most <= 0 || days.isEmpty()
                ? Optional.empty()
                : Optional.of(new SpanView(aim, name, days.get(0), days.get(days.size() - 1), why));
    }

    private PlanDocument ended(LocalDate day, List<TerminationMethod> method) {
        PlanDocument dated = PlanEdit.dated(e.plan(), "end", cover.id(), day);
        return ways.isChosen()
                ? dated
                : PlanEdit.endedBy(dated, cover.id(), method.get(0).id());
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }

    /** From the last back: close together near the planting. */
    private List<LocalDate> days(LocalDate from, LocalDate last, LocalDate near, Optional<LocalDate> planned) {
        TreeMap<LocalDate, Boolean> found = new TreeMap<>();
        LocalDate d = last;
        while (!d.isBefore(from)) {
            found.put(d, true);
            long off = Math.max(0, ChronoUnit.DAYS.between(d, near));
            int step = 0;
            for (int[] s : STEPS) {
                step = step == 0 && off < s[0] ? s[1] : step;
            }
            d = d.minusDays(step);
        }
        planned.filter(p -> !p.isBefore(from) && !p.isAfter(last)).ifPresent(p -> found.put(p, true));
        return List.copyOf(found.keySet());
    }

    /** The day on which half of the years are ripe, of the species that weighs most; the last where they are not. */
    private LocalDate untilRipe(LocalDate last) {
        for (LocalDate d = first; d.isBefore(last); d = d.plusDays(1)) {
            int r = record(d);
            double[] masses = StandParts.massKgHa(alive, r, plants);
            int most = IntStream.range(0, masses.length)
                    .reduce((a, b) -> masses[b] > masses[a] ? b : a)
                    .orElse(0);
            if (masses.length > 0
                    && masses[most] > LEAST_KG_HA
                    && GroundCourse.band(alive.plant(r, plants.get(most), OfPlant.STAGE))
                                    .middle()
                            >= RIPE) {
                return d;
            }
        }
        return last;
    }

    /** The record of the evening before a day. */
    private int record(LocalDate day) {
        return branches.alive().before(day);
    }

    /** What lives is read every day, and every fourth long before planting. */
    private void living(LocalDate to) {
        LocalDate near = planting.orElse(to).minusDays(DAILY_DAYS);
        for (LocalDate d = first; !d.isAfter(to); d = d.plusDays(d.isBefore(near) ? FAR_STEP : 1)) {
            int r = record(d);
            double[] mass = alive.sum(r, plants, OfPlant.MASS_KG_HA);
            Band tops = ModelError.widen(GroundCourse.band(mass), errorOfMass);
            dead(d);
            lateness(d, ways.planned());
            put("tops", "stand", "Dry tops", Unit.T_PER_HA, Better.MORE, "by", d, per(tops, 1000));
            if (tops.middle() < LEAST_KG_HA) {
                continue;
            }
            double share = StandParts.nitrogenShare(alive, r, plants);
            double[] cn = ratio(mass, alive.sum(r, plants, OfPlant.NITROGEN_KG_HA));
            put(
                    "cn",
                    "stand",
                    "C:N of the tops",
                    Unit.FRACTION,
                    Better.NEITHER,
                    "to",
                    d,
                    around(cn, Prospect.CARBON_SHARE / share));
            put(
                    "nitrogen",
                    "stand",
                    "Nitrogen in the tops",
                    Unit.KG_PER_HA,
                    Better.MORE,
                    "by",
                    d,
                    ModelError.widen(
                            around(alive.sum(r, plants, OfPlant.NITROGEN_KG_HA), tops.middle() * share), errorOfMass));
            put("height", "stand", "Height of the tallest", Unit.CENTIMETRE, Better.NEITHER, "to", d, tallest(r));
            put(
                    "seed",
                    "stand",
                    "Years with seed that can grow",
                    Unit.PERCENT,
                    Better.LESS,
                    "to",
                    d,
                    Band.exactly(100 * seedShare(r)));
            for (TerminationMethod m : ways.killing()) {
                put(
                        "kill-" + m.id(),
                        "kill",
                        "Killed: " + m.name().toLowerCase(Locale.ROOT),
                        Unit.PERCENT,
                        Better.MORE,
                        "to",
                        d,
                        killed(r, m),
                        ways.refusal(m));
            }
        }
    }

    private void dead(LocalDate day) {
        planting.ifPresent(p -> put(
                "dead",
                "stand",
                "Dead before planting",
                Unit.DAY,
                Better.NEITHER,
                "to",
                day,
                Band.exactly(ChronoUnit.DAYS.between(day, p))));
    }

    /** What the crop would lose if its planting waited for the days that usually lie between; nothing where it goes into the living cover. */
    private void lateness(LocalDate day, List<TerminationMethod> method) {
        Optional<CropLateness> known =
                crop.flatMap(c -> e.knowledge().lateness().find(c.crop().id()));
        Optional<Place> place = e.site().map(s -> s.climate().place());
        if (known.isEmpty()
                || place.filter(p -> Math.abs(p.latitude()) >= CropLateness.FROM_LATITUDE)
                        .isEmpty()) {
            return;
        }
        LocalDate planted = planting.orElseThrow();
        int gap = EndGaps.daysToPlanting(method, grass, crop.orElseThrow().crop());
        LocalDate earliest = day.isBefore(planted) ? day.plusDays(gap) : planted;
        put(
                "late",
                "crop",
                "Yield lost if planting waits for the usual gap",
                Unit.PERCENT,
                Better.LESS,
                "to",
                day,
                known.get().lost(planted, earliest, place.get().isSouthern()));
    }

    private static double[] ratio(double[] mass, double[] nitrogen) {
        return IntStream.range(0, mass.length)
                .filter(m -> mass[m] > 0 && nitrogen[m] > 0)
                .mapToDouble(m -> Prospect.CARBON_SHARE * mass[m] / nitrogen[m])
                .toArray();
    }

    private Band tallest(int r) {
        double[] most = new double[alive.members()];
        for (int p : plants) {
            double[] h = alive.plant(r, p, OfPlant.HEIGHT_M);
            for (int m = 0; m < most.length; m++) {
                most[m] = Math.max(most[m], 100 * h[m]);
            }
        }
        return GroundCourse.band(most);
    }

    private double seedShare(int r) {
        return IntStream.range(0, alive.members())
                        .filter(m -> plants.stream()
                                .anyMatch(p -> alive.plant(r, p, OfPlant.REACHED_STAGE, m) >= Prospect.VIABLE_SEED))
                        .count()
                / (double) alive.members();
    }

    private Band killed(LocalDate day, TerminationMethod m) {
        return killed(record(day), m);
    }

    /** The share of what lives that a method kills, %. */
    private Band killed(int r, TerminationMethod method) {
        double[] years = IntStream.range(0, alive.members())
                .mapToDouble(m -> killed(r, method, m))
                .filter(v -> !Double.isNaN(v))
                .toArray();
        return years.length == 0 ? Band.exactly(0) : GroundCourse.band(years);
    }

    private double killed(int r, TerminationMethod method, int member) {
        double[][] kills = killing.computeIfAbsent(method.id(), k -> shares(method));
        double all = 0;
        double dead = 0;
        for (int i = 0; i < kills.length; i++) {
            double mass = alive.plant(r, plants.get(i), OfPlant.MASS_KG_HA, member);
            if (mass > 0) {
                double far = StageSpread.farEnough(alive.plant(r, plants.get(i), OfPlant.STAGE, member), kills[i][2]);
                all += mass;
                dead += mass * (kills[i][0] + far * (kills[i][1] - kills[i][0]));
            }
        }
        return all > 0 ? 100 * dead / all : Double.NaN;
    }

    /** By plant: killed before it is far enough and after, and the stage at which half of them are. */
    private double[][] shares(TerminationMethod method) {
        return plants.stream()
                .map(p -> e.knowledge().species().get(branches.alive().plantId(p)))
                .map(s -> new double[] {method.kills(s, false), method.kills(s, true), StageSpread.half(s)})
                .toArray(double[][]::new);
    }

    /** Share of the years in which anything of the cover lives on a day. */
    private double aliveShare(LocalDate day) {
        double[] mass = alive.sum(record(day), plants, OfPlant.MASS_KG_HA);
        return IntStream.range(0, mass.length).filter(m -> mass[m] > 0).count() / (double) mass.length;
    }

    private void branch(LocalDate end, Optional<EndBranches.Branch> without) {
        if (planting.isEmpty()) {
            return;
        }
        LocalDate planted = planting.get();
        LocalDate to = later(end, planted).plusDays(PLAYED_ON);
        if (!branches.covers(planted) || !branches.covers(planted.plusDays(PLAYED_ON))) {
            return;
        }
        EndBranches.Branch g = branches.ended(end, planted, to.plusDays(1));
        GroundCourse c = g.course();
        int at = g.before(planted);
        put(
                "residue",
                "soil",
                "Mulch 30 days after planting, old residue in it",
                Unit.T_PER_HA,
                Better.MORE,
                "by",
                end,
                per(
                        ModelError.widen(
                                GroundCourse.band(c.ground(g.before(planted.plusDays(31)), OfGround.RESIDUE_KG_HA)),
                                ModelError.OF_GROUND),
                        1000));
        cover(c, at, "Ground covered at planting", "cover0", end);
        cover(c, g.before(planted.plusDays(31)), "Ground covered 30 days later", "cover30", end);
        cover(c, g.before(planted.plusDays(61)), "Ground covered 60 days later", "cover60", end);
        double[] water = c.ground(at, OfGround.AVAILABLE_WATER_MM);
        put(
                "water",
                "soil",
                "Soil water at planting",
                Unit.MILLIMETRE,
                Better.MORE,
                "by",
                end,
                ModelError.widen(GroundCourse.band(water), ModelError.OF_GROUND));
        put(
                "dry",
                "soil",
                "Years with a dry seed zone at planting",
                Unit.PERCENT,
                Better.LESS,
                "to",
                end,
                Band.exactly(100.0
                        * IntStream.range(0, c.members())
                                .filter(m -> c.ground(at, OfGround.WATER_1, m) < DRY)
                                .count()
                        / c.members()));
        put(
                "warmth",
                "soil",
                "Soil temperature at planting",
                Unit.CELSIUS,
                Better.MORE,
                "by",
                end,
                GroundCourse.band(c.ground(at, OfGround.SOIL_C)));
        without.ifPresent(w -> {
            free(g, w, end, planted, 4);
            free(g, w, end, planted, 10);
        });
    }

    private void cover(GroundCourse c, int record, String name, String id, LocalDate end) {
        double[] residue = c.ground(record, OfGround.RESIDUE_COVER);
        double[] living = c.ground(record, OfGround.LIVING_COVER);
        double[] years = IntStream.range(0, residue.length)
                .mapToDouble(m -> 100 * (1 - (1 - residue[m]) * (1 - living[m])))
                .toArray();
        Band b = ModelError.widen(GroundCourse.band(years), ModelError.OF_GROUND);
        put(
                id,
                "soil",
                name,
                Unit.PERCENT,
                Better.MORE,
                "to",
                end,
                new Band(b.low(), b.middle(), Math.max(b.middle(), Math.min(100, b.high()))));
    }

    /** Nitrogen free in the soil and in the crop, against the same ground without the cover. */
    private void free(EndBranches.Branch g, EndBranches.Branch w, LocalDate end, LocalDate planted, int weeks) {
        LocalDate day = planted.plusDays(7L * weeks + 1);
        double[] with = free(
                g.course(),
                g.before(day),
                branches.alive().plants(crop.orElseThrow().id()));
        double[] bare = free(
                w.course(),
                w.before(day),
                branches.plantsWithout(crop.orElseThrow().id()));
        double[] more = IntStream.range(0, with.length)
                .mapToDouble(m -> with[m] - bare[m])
                .toArray();
        put(
                "free" + weeks,
                "crop",
                "Nitrogen free " + weeks + " weeks after planting, against no cover",
                Unit.KG_PER_HA,
                Better.MORE,
                "by",
                end,
                GroundCourse.band(more));
    }

    private static double[] free(GroundCourse c, int record, List<Integer> crop) {
        double[] inCrop = c.sum(record, crop, OfPlant.NITROGEN_KG_HA);
        return IntStream.range(0, c.members())
                .mapToDouble(m -> inCrop[m]
                        + c.ground(record, OfGround.MINERAL_N_1, m)
                        + c.ground(record, OfGround.MINERAL_N_2, m)
                        + c.ground(record, OfGround.MINERAL_N_3, m))
                .toArray();
    }

    private static Band per(Band b, double by) {
        return new Band(b.low() / by, b.middle() / by, b.high() / by);
    }

    private void put(
            String id, String group, String name, Unit unit, Better better, String change, LocalDate on, Band value) {
        put(id, group, name, unit, better, change, on, value, Optional.empty());
    }

    private void put(
            String id,
            String group,
            String name,
            Unit unit,
            Better better,
            String change,
            LocalDate on,
            Band value,
            Optional<String> note) {
        rows.computeIfAbsent(id, k -> new Row(id, group, name, unit, better, change, note, new TreeMap<>()))
                .points()
                .put(on, value);
    }

    private RowView view(Row row) {
        Unit shown = units.shown(row.unit());
        List<PointView> points = new ArrayList<>();
        int decimals = 0;
        for (Map.Entry<LocalDate, Band> p : row.points().entrySet()) {
            Band b = p.getValue();
            double middle = row.unit().to(shown, b.middle());
            double low = row.unit().to(shown, b.low());
            double high = row.unit().to(shown, b.high());
            String text = text(row, middle, shown, high - low);
            int point = text.indexOf('.');
            decimals = Math.max(decimals, point < 0 ? 0 : text.length() - point - 1);
            points.add(new PointView(p.getKey(), round(low), round(middle), round(high), text));
        }
        return new RowView(
                row.id(),
                row.group(),
                row.name(),
                shown == Unit.FRACTION ? "" : shown.written(),
                row.better(),
                row.change(),
                Math.min(decimals, 2),
                points,
                row.note());
    }

    private static String text(Row row, double value, Unit shown, double spread) {
        return row.unit() == Unit.DAY || row.unit() == Unit.PERCENT || row.unit() == Unit.CENTIMETRE
                ? Shown.plain(value, 0)
                : row.unit() == Unit.FRACTION
                        ? Shown.plain(value, value < 20 ? 1 : 0)
                        : Shown.text(value, shown, spread);
    }

    private static double round(double v) {
        return Math.round(v * 1000) / 1000.0;
    }
}
