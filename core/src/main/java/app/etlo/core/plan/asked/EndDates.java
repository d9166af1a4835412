package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.CropLateness;
import app.etlo.core.plan.asked.EndRows.Better;
import app.etlo.core.plan.asked.EndRows.Change;
import app.etlo.core.plan.asked.EndRows.Kind;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanEdit;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.growth.EndBranches;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.EndGaps;
import app.etlo.core.weather.Place;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/**
 * What ending a cover on one day or another gains and costs: the living stand day by day ({@link LivingCover}), and on days some apart the
 * plan with the cover ended then, played on from there ({@link EndedGround}). The day of the plan is among them, and comes to what the plan
 * comes to.
 */
public final class EndDates {
    /** A cover is not ended sooner after its sowing. */
    private static final int AFTER_SOWING = 30;
    /** Looked at beyond the planting of the next crop, or beyond the end of the plan where none follows. */
    private static final int BEYOND_PLANTING = 21;

    private static final int BEYOND_END = 42;
    /** Looked at after the sowing where neither says when it ends. */
    private static final int AT_MOST = 300;
    /** Days between two branches: so near the planting, farther off, and beyond. */
    private static final int[][] STEPS = {{36, 4}, {72, 12}, {156, 28}, {Integer.MAX_VALUE, 56}};
    /** What lives is read every day so near the planting, and every fourth before. */
    private static final int DAILY_DAYS = 75;

    private static final int FAR_STEP = 4;

    private static final Kind DEAD =
            new Kind("dead", "stand", "Dead before planting", Unit.DAY, Better.NEITHER, Change.TO);
    private static final Kind LATE = new Kind(
            "late", "crop", "Yield lost if planting waits for the usual gap", Unit.PERCENT, Better.LESS, Change.TO);

    /**
     * @param planned the day on which the plan ends it
     * @param planting of the crop that follows, {@code crop} by name
     * @param method the passes with which it is ended on each day, by name
     * @param instead why these are not the plan's own; absent where they are
     * @param coarse whether only what lives was read, as a first answer; what the ground comes to follows
     * @param blocked days on which it should not end so, in time; what is not in them is free as far as is known
     * @param favoured days, by aim
     * @param methodsOn the day of the plan, else the last: {@code methods} tells what every way of ending would do on it
     * @param forecastOf when the forecast was made that {@code nextDays} rest on; none of both where there is none
     */
    public record DatesView(
            String coverId,
            Optional<LocalDate> planned,
            Optional<LocalDate> planting,
            Optional<String> crop,
            String method,
            Optional<String> instead,
            boolean coarse,
            int years,
            LocalDate from,
            LocalDate to,
            List<EndRows.RowView> rows,
            List<EndCalendar.BlockView> blocked,
            List<EndCalendar.SpanView> favoured,
            LocalDate methodsOn,
            List<EndMethods.MethodView> methods,
            Optional<Instant> forecastOf,
            List<NextDays.NextDayView> nextDays) {}

    /**
     * The days, or why there are none to compare yet.
     *
     * @param why what is missing, as a sentence; absent where there are days
     */
    public record DatesAnswer(Optional<DatesView> dates, Optional<String> why) {
        private static DatesAnswer none(String why) {
            return new DatesAnswer(Optional.empty(), Optional.of(why));
        }

        /**
         * The days.
         *
         * @throws Refused where there are none
         */
        public DatesView require() {
            return dates.orElseThrow(() -> new Refused("/coverId", why.orElseThrow()));
        }
    }

    private final Evaluated e;
    private final CoverResult cover;
    private final Optional<CropInTime> crop;
    private final Optional<LocalDate> planting;
    private final Optional<LocalDate> planned;
    private final EndMethods ways;
    private final EndRows rows = new EndRows();

    private EndDates(Evaluated e, CoverResult cover) {
        this.e = e;
        this.cover = cover;
        this.crop = cover.next();
        this.planting = crop.flatMap(CropInTime::planted);
        this.planned = new PlanLookup(e.plan())
                .first(Operation.End.class, cover.id())
                .flatMap(o -> Optional.ofNullable(e.dates().get(o.id())).map(d -> d.on()));
        this.ways = new EndMethods(e, cover);
    }

    /**
     * Of a cover.
     *
     * @param coarse whether a first answer is enough: the living stand and what would kill it
     * @return no days where it is not sown or simulated, or its days are past
     * @throws Refused when the plan has no such cover
     */
    public static DatesAnswer of(Evaluated e, String coverId, boolean coarse) {
        CoverResult cover = e.covers().stream()
                .filter(c -> c.id().equals(coverId))
                .findFirst()
                .orElseThrow(() -> new Refused("/coverId", "the plan has no such cover"));
        if (cover.sown().isEmpty() || cover.mix().blend().isEmpty()) {
            return DatesAnswer.none(
                    "Date the sowing and give the mix its rates: then the days of its end are compared here.");
        }
        return new EndDates(e, cover).answer(coarse);
    }

    private DatesAnswer answer(boolean coarse) {
        LocalDate sown = cover.sown().orElseThrow();
        LocalDate first = later(e.asOf(), sown.plusDays(AFTER_SOWING));
        LocalDate last = planting.map(p -> p.plusDays(BEYOND_PLANTING))
                .or(() -> planned.map(p -> p.plusDays(BEYOND_END)))
                .orElseGet(() -> sown.plusDays(AT_MOST));
        if (!first.isBefore(last)) {
            return DatesAnswer.none("The days on which it could end are past.");
        }
        TreeSet<LocalDate> days = days(first, last, planting.or(() -> planned).orElse(last));
        return e.growth()
                .branches(cover.inTime(), first, this::ended, days)
                .filter(b -> b.covers(first))
                .map(b -> new DatesAnswer(Optional.of(view(coarse, first, last, days, b)), Optional.empty()))
                .orElseGet(() -> DatesAnswer.none("Nothing is simulated: the field has no weather yet."));
    }

    private DatesView view(
            boolean coarse, LocalDate first, LocalDate last, TreeSet<LocalDate> days, EndBranches branches) {
        LivingCover living = new LivingCover(e, cover.id(), branches.alive());
        LocalDate to = living.ripe(first, last);
        readDays(first, to, days).forEach(d -> {
            planting.ifPresent(p -> rows.put(DEAD, d, Band.exactly(ChronoUnit.DAYS.between(d, p))));
            lateness(d);
            living.tell(d, ways, rows);
        });
        if (!coarse) {
            planting.flatMap(p -> EndedGround.of(
                            branches, cover.id(), crop.orElseThrow().id(), p))
                    .ifPresent(g -> days.headSet(to, true).forEach(d -> g.tell(d, rows)));
        }
        EndCalendar calendar = new EndCalendar(e, cover, living);
        NextDays next = new NextDays(e);
        LocalDate on = planned.filter(d -> !d.isBefore(first) && !d.isAfter(to)).orElse(to);
        return new DatesView(
                cover.id(),
                planned,
                planting,
                crop.map(c -> c.crop().name()),
                EndMethods.words(ways.played()),
                ways.instead(),
                coarse,
                living.years(),
                first,
                to,
                rows.views(e.units()),
                calendar.blocked(first, to, ways.instead().map(x -> ways.played())),
                calendar.favoured(rows),
                on,
                ways.views(on, living::killed, living::aliveShare),
                next.issued(),
                next.views());
    }

    private PlanDocument ended(LocalDate day) {
        PlanDocument dated = PlanEdit.dated(e.plan(), "end", cover.id(), day);
        return ways.instead().isEmpty()
                ? dated
                : PlanEdit.endedBy(dated, cover.id(), ways.played().get(0).id());
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }

    /** Days of branches, from the last back: close together near the planting; that of the plan among them. */
    private TreeSet<LocalDate> days(LocalDate from, LocalDate last, LocalDate near) {
        TreeSet<LocalDate> found = new TreeSet<>();
        LocalDate d = last;
        while (!d.isBefore(from)) {
            found.add(d);
            long off = Math.max(0, ChronoUnit.DAYS.between(d, near));
            int step = 0;
            for (int[] s : STEPS) {
                step = step == 0 && off < s[0] ? s[1] : step;
            }
            d = d.minusDays(step);
        }
        planned.filter(p -> !p.isBefore(from) && !p.isAfter(last)).ifPresent(found::add);
        return found;
    }

    /** Days on which the living stand is read: those of the branches too, so that a line of the table is whole. */
    private TreeSet<LocalDate> readDays(LocalDate first, LocalDate to, TreeSet<LocalDate> branches) {
        TreeSet<LocalDate> found = new TreeSet<>(branches.headSet(to, true));
        LocalDate near = planting.orElse(to).minusDays(DAILY_DAYS);
        for (LocalDate d = first; !d.isAfter(to); d = d.plusDays(d.isBefore(near) ? FAR_STEP : 1)) {
            found.add(d);
        }
        return found;
    }

    /** What the crop would lose if its planting waited for the days that usually lie between; nothing where it goes into the living cover. */
    private void lateness(LocalDate day) {
        Optional<CropLateness> known =
                crop.flatMap(c -> e.knowledge().lateness().find(c.crop().id()));
        Optional<Place> place = e.site().map(s -> s.climate().place());
        if (known.isEmpty()
                || place.filter(p -> Math.abs(p.latitude()) >= CropLateness.FROM_LATITUDE)
                        .isEmpty()) {
            return;
        }
        LocalDate planted = planting.orElseThrow();
        boolean grass = cover.species().stream().anyMatch(s -> s.group().isGrass());
        int gap =
                EndGaps.daysToPlanting(ways.played(), grass, crop.orElseThrow().crop());
        LocalDate earliest = day.isBefore(planted) ? day.plusDays(gap) : planted;
        rows.put(LATE, day, known.get().lost(planted, earliest, place.get().isSouthern()));
    }
}
