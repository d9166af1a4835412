package app.etlo.core.plan.asked;

import static app.etlo.core.plan.growth.MiddleYear.around;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.ModelError;
import app.etlo.core.knowledge.KillOfSpecies;
import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.mix.Prospect;
import app.etlo.core.plan.asked.EndRows.Better;
import app.etlo.core.plan.asked.EndRows.Change;
import app.etlo.core.plan.asked.EndRows.Kind;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.growth.StandParts;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;

/** A cover that is left alive, read on the evening before a day: what stands, and what each way of ending would kill of it. */
final class LivingCover {
    private static final double RIPE = 2;
    /** Less than this is no stand. */
    private static final double LEAST_KG_HA = 1;

    private static final Kind TOPS = new Kind("tops", "stand", "Dry tops", Unit.T_PER_HA, Better.MORE, Change.BY);
    private static final Kind CN = new Kind("cn", "stand", "C:N of the tops", Unit.FRACTION, Better.NEITHER, Change.TO);
    private static final Kind NITROGEN =
            new Kind("nitrogen", "stand", "Nitrogen in the tops", Unit.KG_PER_HA, Better.MORE, Change.BY);
    private static final Kind HEIGHT =
            new Kind("height", "stand", "Height of the tallest", Unit.CENTIMETRE, Better.NEITHER, Change.TO);
    private static final Kind SEED =
            new Kind("seed", "stand", "Years with seed that can grow", Unit.PERCENT, Better.LESS, Change.TO);

    private final Evaluated e;
    private final PlanGround ground;
    private final GroundCourse course;
    private final List<Integer> plants;
    private final double errorOfMass;
    /** By way of ending, in the order of the plants. */
    private final Map<String, List<KillOfSpecies>> kills = new HashMap<>();

    /**
     * @param ground in which it lives on, recorded every day
     */
    LivingCover(Evaluated e, String coverId, PlanGround ground) {
        this.e = e;
        this.ground = ground;
        this.course = ground.course();
        this.plants = ground.plants(coverId);
        this.errorOfMass = e.growth().errorOfMass(coverId);
    }

    int years() {
        return course.members();
    }

    /** The first day on which half of the years are ripe, of the species that weighs most; the last where they are not. */
    LocalDate ripe(LocalDate first, LocalDate last) {
        for (LocalDate d = first; d.isBefore(last); d = d.plusDays(1)) {
            int r = ground.before(d);
            double[] masses = StandParts.massKgHa(course, r, plants);
            int most = IntStream.range(0, masses.length)
                    .reduce((a, b) -> masses[b] > masses[a] ? b : a)
                    .orElse(0);
            if (masses.length > 0
                    && masses[most] > LEAST_KG_HA
                    && GroundCourse.band(course.plant(r, plants.get(most), OfPlant.STAGE))
                                    .middle()
                            >= RIPE) {
                return d;
            }
        }
        return last;
    }

    /** Tells what it comes to by a day; of what weighs next to nothing only that. */
    void tell(LocalDate day, EndMethods ways, EndRows rows) {
        int r = ground.before(day);
        double[] mass = course.sum(r, plants, OfPlant.MASS_KG_HA);
        double[] nitrogen = course.sum(r, plants, OfPlant.NITROGEN_KG_HA);
        Band tops = ModelError.widen(GroundCourse.band(mass), errorOfMass);
        rows.put(TOPS, day, new Band(tops.low() / 1000, tops.middle() / 1000, tops.high() / 1000));
        if (tops.middle() < LEAST_KG_HA) {
            return;
        }
        double share = StandParts.nitrogenShare(course, r, plants);
        rows.put(CN, day, around(carbonOver(mass, nitrogen), Prospect.CARBON_SHARE / share));
        rows.put(NITROGEN, day, ModelError.widen(around(nitrogen, tops.middle() * share), errorOfMass));
        rows.put(HEIGHT, day, tallest(r));
        rows.put(SEED, day, Band.exactly(100 * seedShare(day)));
        for (TerminationMethod m : ways.killing()) {
            rows.put(
                    new Kind(
                            "kill-" + m.id(),
                            "kill",
                            "Killed: " + m.name().toLowerCase(Locale.ROOT),
                            Unit.PERCENT,
                            Better.MORE,
                            Change.TO,
                            ways.refusal(m)),
                    day,
                    killed(day, m));
        }
    }

    private static double[] carbonOver(double[] mass, double[] nitrogen) {
        return IntStream.range(0, mass.length)
                .filter(m -> mass[m] > 0 && nitrogen[m] > 0)
                .mapToDouble(m -> Prospect.CARBON_SHARE * mass[m] / nitrogen[m])
                .toArray();
    }

    private Band tallest(int r) {
        double[] most = new double[course.members()];
        for (int p : plants) {
            double[] h = course.plant(r, p, OfPlant.HEIGHT_M);
            for (int m = 0; m < most.length; m++) {
                most[m] = Math.max(most[m], 100 * h[m]);
            }
        }
        return GroundCourse.band(most);
    }

    /** Share of the years in which a species has seed that can grow, 0 to 1. */
    double seedShare(LocalDate day) {
        int r = ground.before(day);
        return IntStream.range(0, course.members())
                        .filter(m -> plants.stream()
                                .anyMatch(p -> course.plant(r, p, OfPlant.REACHED_STAGE, m) >= Prospect.VIABLE_SEED))
                        .count()
                / (double) course.members();
    }

    /** Share of the years in which anything of it lives, 0 to 1. */
    double aliveShare(LocalDate day) {
        double[] mass = course.sum(ground.before(day), plants, OfPlant.MASS_KG_HA);
        return IntStream.range(0, mass.length).filter(m -> mass[m] > 0).count() / (double) mass.length;
    }

    /** What a way of ending would kill of the living tops, %, in the years in which there are any. */
    Band killed(LocalDate day, TerminationMethod method) {
        int r = ground.before(day);
        double[] years = IntStream.range(0, course.members())
                .mapToDouble(m -> killed(r, kills.computeIfAbsent(method.id(), k -> kills(method)), m))
                .filter(v -> !Double.isNaN(v))
                .toArray();
        return years.length == 0 ? Band.exactly(0) : GroundCourse.band(years);
    }

    private double killed(int r, List<KillOfSpecies> kills, int member) {
        double all = 0;
        double dead = 0;
        double airC = course.ground(r, OfGround.RECENT_AIR_C, member);
        for (int i = 0; i < kills.size(); i++) {
            double mass = course.plant(r, plants.get(i), OfPlant.MASS_KG_HA, member);
            if (mass > 0) {
                double stage = course.plant(r, plants.get(i), OfPlant.STAGE, member);
                double height = course.plant(r, plants.get(i), OfPlant.HEIGHT_M, member);
                all += mass;
                dead += mass * kills.get(i).share(stage, height, airC);
            }
        }
        return all > 0 ? 100 * dead / all : Double.NaN;
    }

    private List<KillOfSpecies> kills(TerminationMethod method) {
        return plants.stream()
                .map(p -> method.kills(e.knowledge().species().get(ground.plantId(p))))
                .toList();
    }
}
