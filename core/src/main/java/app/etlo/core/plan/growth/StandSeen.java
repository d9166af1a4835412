package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.ModelError;
import app.etlo.core.mix.SeasonGrowth;
import app.etlo.core.plan.document.PlanDocument.StandEntry;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.quantity.Unit;
import app.etlo.core.termination.Evidence;
import app.etlo.core.termination.Quadrat;
import app.etlo.core.weather.Percentiles;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What is expected or weighed of a cover, as it acts on the course: from its day on the tops and what they hold are as was said, and all
 * that follows from them follows.
 *
 * @param massKgHa that its tops have on its day; 0 where nothing is said of them
 * @param nitrogenShare of the tops then, 0 to 1; 0 where nothing is said of it
 * @param errorLeft of the mass after it, one standard deviation as a share: the model's own unless it was weighed
 * @param forecast what the cover would have come to without it
 */
public record StandSeen(
        String coverId, LocalDate on, double massKgHa, double nitrogenShare, double errorLeft, SeasonGrowth forecast) {
    private static final double LEAST_ERROR_OF_CUTS = 0.1;
    private static final double ERROR_OF_ONE_CUT = 0.3;
    private static final double MOST_NITROGEN = 0.08;

    /** The cuts, where it was weighed. */
    public static Optional<Quadrat> cuts(StandEntry s) {
        return s.quadrat()
                .filter(q -> s.evidence() == Evidence.WEIGHED)
                .map(q -> new Quadrat(q.frameArea(), q.samples(), q.dryMatterPercent() / 100));
    }

    /** Dry tops as typed or weighed, kg/ha. */
    private static Optional<Double> saidKgHa(StandEntry s) {
        return cuts(s).map(q -> q.biomass("weighed").in(Unit.KG_PER_HA))
                .or(() -> s.biomass().map(q -> q.in(Unit.KG_PER_HA)));
    }

    private static double errorLeft(Quadrat cuts) {
        Figure f = cuts.biomass("weighed");
        double least = cuts.samples().size() < 2 ? ERROR_OF_ONE_CUT : LEAST_ERROR_OF_CUTS;
        return f.middle() <= 0 ? least : Math.max(least, (f.value().high() - f.middle()) / f.middle());
    }

    /**
     * What a stand does to the course; empty where the cover is not simulated, or nothing is said of it.
     *
     * @param forecast of the cover by the day it ends
     */
    static Optional<StandSeen> of(CoverInTime cover, PlanGround ground, SeasonGrowth forecast, LocalDate end) {
        List<Integer> plants = ground.plants(cover.id());
        Optional<StandEntry> stand = cover.entry().stand();
        Optional<Double> mass = stand.flatMap(StandSeen::saidKgHa).filter(v -> v > 0);
        Optional<Double> nitrogen = stand.flatMap(StandEntry::nitrogenPercent).filter(v -> v > 0);
        if (plants.isEmpty() || mass.isEmpty() && nitrogen.isEmpty()) {
            return Optional.empty();
        }
        LocalDate on = stand.flatMap(StandEntry::on)
                .filter(d -> d.isBefore(end))
                .orElseGet(() -> forecast.byWinter() ? heaviest(ground, plants, end) : end.minusDays(1));
        return Optional.of(new StandSeen(
                cover.id(),
                on,
                mass.orElse(0.0),
                nitrogen.orElse(0.0) / 100,
                stand.flatMap(StandSeen::cuts).map(StandSeen::errorLeft).orElse(ModelError.OF_MASS),
                forecast));
    }

    /** How far what the cover comes to is from what was said, the larger of mass and content, as a share; 0 where nothing is said. */
    double off(CoverInTime cover, SeasonGrowth now) {
        return Math.max(Math.abs(massOff(cover, now) - 1), Math.abs(nitrogenOff(cover, now) - 1));
    }

    /**
     * The same with its numbers brought nearer. What winter ends weighs most on another day each year, so that what it has on one day is not
     * yet what it comes to.
     */
    StandSeen nearer(CoverInTime cover, SeasonGrowth now) {
        return new StandSeen(
                coverId,
                on,
                massKgHa * massOff(cover, now),
                Math.min(MOST_NITROGEN, nitrogenShare * nitrogenOff(cover, now)),
                errorLeft,
                forecast);
    }

    private static double massOff(CoverInTime cover, SeasonGrowth now) {
        double middle = Percentiles.of(now.massKgHa()).at(0.5);
        return cover.entry()
                .stand()
                .flatMap(StandSeen::saidKgHa)
                .filter(m -> m > 0 && middle > 0)
                .map(m -> m / middle)
                .orElse(1.0);
    }

    private static double nitrogenOff(CoverInTime cover, SeasonGrowth now) {
        double share = now.nitrogenShare();
        return cover.entry()
                .stand()
                .flatMap(StandEntry::nitrogenPercent)
                .filter(n -> n > 0 && share > 0)
                .map(n -> n / 100 / share)
                .orElse(1.0);
    }

    /** The recorded evening on which its tops weigh most in the middle of the years. */
    private static LocalDate heaviest(PlanGround ground, List<Integer> plants, LocalDate end) {
        GroundCourse course = ground.course();
        int best = IntStream.rangeClosed(0, ground.before(end))
                .boxed()
                .max((a, b) -> Double.compare(middle(course, plants, a), middle(course, plants, b)))
                .orElse(0);
        return ground.from().plusDays(course.recordedDay(best));
    }

    private static double middle(GroundCourse course, List<Integer> plants, int record) {
        return Percentiles.of(course.sum(record, plants, OfPlant.MASS_KG_HA)).at(0.5);
    }
}
