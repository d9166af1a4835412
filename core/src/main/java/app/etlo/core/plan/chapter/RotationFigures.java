package app.etlo.core.plan.chapter;

import static app.etlo.core.plan.growth.MiddleYear.around;
import static app.etlo.core.plan.growth.MiddleYear.banded;
import static app.etlo.core.plan.growth.MiddleYear.input;
import static app.etlo.core.plan.growth.MiddleYear.nearest;
import static app.etlo.core.plan.growth.MiddleYear.percent;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GrownRotation;
import app.etlo.core.ground.ModelError;
import app.etlo.core.plan.growth.CropBefore;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.Termination;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Figures of the whole rotation: days with living roots from its first sowing to its last end, bare days and the barest day once its
 * own residue lies, and what winters leach.
 */
final class RotationFigures {
    private static final Formula YEARLY =
            Formula.of("A year of the rotation", "days / span * 365.25", GroundFigures.SIMULATED, "days", "span");
    private static final Formula COVER = Formula.of(
            "Ground covered by leaves or residue",
            "(1 - (1 - living / 100) * (1 - residue / 100)) * 100",
            Source.identity("what one leaves open the other may cover"),
            "living",
            "residue");
    /** What the simulation knows of leaching, one standard deviation; Etlo's own. */
    private static final double ERROR_OF_LEACHING = 0.5;

    /** Months of a season of drainage: from October, or April in the south. */
    private static final int DRAINING_MONTHS = 9;

    private final PlanGround ground;
    private final Optional<CropBefore> before;
    private final LocalDate asOf;

    /**
     * @param asOf day of knowledge: a season that has ended before it cannot be changed any more and is in no mean
     */
    RotationFigures(PlanGround ground, Optional<CropBefore> before, LocalDate asOf) {
        this.ground = ground;
        this.before = before;
        this.asOf = asOf;
    }

    /**
     * @param crops and {@code covers} of the rotation, by whose dates its first sowing, first end and last end are found
     */
    GrownRotation all(List<CropInTime> crops, List<CoverInTime> covers, boolean southern) {
        Optional<Figure> leached = leached(southern);
        Optional<Figure> startNitrogen = before.map(CropBefore::nitrate);
        Optional<Figure> startResidue = before.flatMap(CropBefore::residue);
        List<LocalDate> sown = Stream.concat(
                        crops.stream().flatMap(c -> c.planted().stream()),
                        covers.stream().flatMap(c -> c.sown().stream()))
                .filter(ground::covers)
                .sorted()
                .toList();
        List<LocalDate> ends = Stream.concat(
                        crops.stream().flatMap(c -> c.harvested().stream()),
                        covers.stream().flatMap(c -> c.end().map(Termination::date).stream()))
                .filter(ground::covers)
                .sorted()
                .toList();
        if (sown.isEmpty()) {
            return new GrownRotation(
                    startNitrogen, startResidue, leached, Optional.empty(), Optional.empty(), Optional.empty());
        }
        GroundCourse course = ground.course();
        boolean ended = !ends.isEmpty() && !ends.get(ends.size() - 1).isBefore(sown.get(sown.size() - 1));
        int to = ended ? ground.before(ends.get(ends.size() - 1)) : course.records() - 1;
        int first = ground.before(sown.get(0));
        // what lay there before anything of the plan was cut or killed is not known
        int firstEnd = ends.isEmpty() ? to : ground.before(ends.get(0));
        return new GrownRotation(
                startNitrogen,
                startResidue,
                leached,
                to > first
                        ? Optional.of(yearly(
                                "grow/livingRootDays",
                                "Days a year with living roots",
                                OfGround.LIVING_ROOT_DAYS,
                                "Days from the first sowing to the last end",
                                first,
                                to))
                        : Optional.empty(),
                to > firstEnd
                        ? Optional.of(yearly(
                                "grow/bareDays",
                                "Days a year with under 30 % covered after the first stand has ended",
                                OfGround.BARE_DAYS,
                                "Days from the first end to the last",
                                firstEnd,
                                to))
                        : Optional.empty(),
                to > firstEnd ? Optional.of(lowestCover(firstEnd, to)) : Optional.empty());
    }

    /** The barest day of the middle year, by what leaves and what residue covered on it. */
    private Figure lowestCover(int from, int to) {
        GroundCourse course = ground.course();
        double[] years = IntStream.range(0, course.members())
                .mapToDouble(m -> 100 * course.ground(course.barest(from, to, m), OfGround.LOWEST_COVER, m))
                .toArray();
        int year = nearest(years, GroundCourse.band(years).middle());
        int record = course.barest(from, to, year);
        String day = Shown.date(ground.from().plusDays((long) course.ground(record, OfGround.LOWEST_DAY, year)));
        double living = 100 * course.ground(record, OfGround.LIVING_ON_LOWEST_DAY, year);
        double residue = Math.max(0, 100 * (1 - (1 - years[year] / 100) / (1 - living / 100)));
        Figure f = COVER.figure(
                "grow/lowestCover",
                "Lowest cover after the first stand has ended",
                Unit.PERCENT,
                input("living", "Under living leaves on " + day, living, Unit.PERCENT),
                input("residue", "Under residue on " + day, residue, Unit.PERCENT));
        return banded(f, percent(around(years, f.middle())));
    }

    /** Nitrogen lost below 1.2 m while the soil drains, October to June or April to December, season by season. */
    private Optional<Figure> leached(boolean southern) {
        double[] sum = new double[ground.course().members()];
        List<double[]> winters = new ArrayList<>();
        List<String> names = new ArrayList<>();
        LocalDate start = ground.from();
        LocalDate last =
                start.plusDays(ground.course().recordedDay(ground.course().records() - 1));
        for (int year = start.getYear() - 1; year <= last.getYear(); year++) {
            LocalDate from = LocalDate.of(year, southern ? Month.APRIL : Month.OCTOBER, 1);
            LocalDate to = from.plusMonths(DRAINING_MONTHS);
            if (!from.isBefore(start) && !to.isAfter(last) && to.isAfter(asOf)) {
                double[] before = ground.course().ground(ground.before(from), OfGround.LEACHED_N_KG_HA);
                double[] after = ground.course().ground(ground.before(to), OfGround.LEACHED_N_KG_HA);
                double[] lost = new double[sum.length];
                for (int m = 0; m < sum.length; m++) {
                    lost[m] = after[m] - before[m];
                    sum[m] += lost[m];
                }
                winters.add(lost);
                names.add("From " + Shown.date(from) + " to " + Shown.date(to));
            }
        }
        if (winters.isEmpty()) {
            return Optional.empty();
        }
        int n = winters.size();
        double[] each = Arrays.stream(sum).map(v -> v / n).toArray();
        int year = nearest(each, GroundCourse.band(each).middle());
        List<Input> inputs = new ArrayList<>();
        List<String> symbols = new ArrayList<>();
        for (int w = 0; w < n; w++) {
            symbols.add("s" + (w + 1));
            inputs.add(input(symbols.get(w), names.get(w), winters.get(w)[year], Unit.KG_PER_HA));
        }
        Figure f = Formula.of(
                        "Mean of the seasons",
                        "(" + String.join(" + ", symbols) + ") / " + n,
                        Source.identity("a mean"),
                        symbols.toArray(String[]::new))
                .figure(
                        "grow/leached",
                        "Nitrogen lost below the roots in a season of drainage: to compare plans, not a promise",
                        Unit.KG_PER_HA,
                        inputs);
        return Optional.of(banded(f, ModelError.widen(around(each, f.middle()), ERROR_OF_LEACHING)));
    }

    /** Days between two records that were counted, as days of a year. */
    private Figure yearly(String id, String label, OfGround counted, String of, int from, int to) {
        GroundCourse course = ground.course();
        double[] before = course.ground(from, counted);
        double[] days = course.ground(to, counted);
        Arrays.setAll(days, m -> days[m] - before[m]);
        int span = course.recordedDay(to) - course.recordedDay(from);
        Band weather = GroundCourse.band(days);
        Figure f = YEARLY.figure(
                id,
                label,
                Unit.DAY,
                input("days", "Days in all", weather.middle(), Unit.DAY),
                Input.of("span", of, span, Unit.DAY, Origin.FORECAST, "plan"));
        return banded(f, weather.map(v -> v / span * 365.25));
    }
}
