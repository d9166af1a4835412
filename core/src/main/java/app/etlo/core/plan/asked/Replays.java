package app.etlo.core.plan.asked;

import app.etlo.core.ground.GrownCover;
import app.etlo.core.ground.GrownCrop;
import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.plan.asked.ReplayViews.Ask;
import app.etlo.core.plan.asked.ReplayViews.DayView;
import app.etlo.core.plan.asked.ReplayViews.EndView;
import app.etlo.core.plan.asked.ReplayViews.Judged;
import app.etlo.core.plan.asked.ReplayViews.Method;
import app.etlo.core.plan.asked.ReplayViews.OtherDays;
import app.etlo.core.plan.asked.ReplayViews.Outcome;
import app.etlo.core.plan.asked.ReplayViews.Tried;
import app.etlo.core.plan.asked.ReplayViews.Value;
import app.etlo.core.plan.asked.ReplayViews.YearsView;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanEdit;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.plan.shown.FigureDifference;
import app.etlo.core.plan.timeline.SiteWeather;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.Forecast;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Origin;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Goes through the season of a cover in the weather of a past year. On each day the plan is evaluated with what could be known
 * then; where the plan has something to be done it asks; at the end it shows what other days would have given.
 */
public final class Replays {
    private static final int KEPT = 24;
    /** Something planned within so many days may be done today. */
    private static final int SOON_DAYS = 28;
    /** Other days that are tried at the end: so many before and after, every so many. */
    private static final int TRIED_AROUND_DAYS = 21;

    private static final int TRIED_EVERY_DAYS = 3;
    private static final int APART_DAYS = 7;

    private final Evaluator evaluator;
    private final Cache<String, PastWeather> kept =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    public Replays(Evaluator evaluator) {
        this.evaluator = evaluator;
    }

    /**
     * A season to be gone through.
     *
     * @param plan as it is before anything is chosen
     * @param today on which the record ends
     * @param year that stands for the one in which the cover's season ends
     */
    public record Season(PlanDocument plan, Context context, LocalDate today, String coverId, int year) {}

    private record Open(Season season, PlanDocument plan, Context context, ReplaySpan span, PastWeather weather) {}

    /** The years that the season of a cover can be gone through in. */
    public YearsView years(PlanDocument plan, Context context, LocalDate today, String coverId) {
        PlanDocument unseen = PlanEdit.unseen(plan);
        ReplaySpan span = span(unseen, context.unseen(), today, coverId);
        Climate base = base(context, today);
        List<Integer> record = record(base, today);
        List<Integer> years = record.stream()
                .filter(y -> PastWeather.of(base, record, firstYear(unseen, span), span.yearOfEnd(), y)
                        .isPresent())
                .toList();
        if (years.isEmpty()) {
            throw new Refused("/plan", "the record of this field's weather is too short to go through a year of it");
        }
        return new YearsView(
                span.from(),
                span.to(),
                new PastYears(base, years, context.farm().units()).picks(),
                years);
    }

    /** A day, or an earlier one on which something still has to be decided. */
    public DayView day(Season season, LocalDate day, List<ReplayChoice> choices) {
        Open open = open(season);
        LocalDate wanted =
                day.isBefore(open.span.from()) ? open.span.from() : day.isAfter(open.span.to()) ? open.span.to() : day;
        List<ReplayChoice> inTime = inTime(choices);
        PlanDocument chosen = chosen(open.plan, inTime);
        Evaluated now = evaluated(open, chosen, wanted);
        Optional<LocalDate> halt = operations(now, open.span)
                .filter(o -> !isDecided(o, inTime))
                .map(Ask::planned)
                .filter(d -> !d.isAfter(wanted) && open.span.holds(d))
                .min(Comparator.naturalOrder());
        LocalDate at = halt.orElse(wanted);
        Evaluated then = at.equals(wanted) ? now : evaluated(open, chosen, at);
        List<Ask> asks = operations(then, open.span)
                .filter(o -> o.planned().equals(at) && !isDecided(o, inTime))
                .toList();
        List<Ask> soon = operations(then, open.span)
                .filter(o -> o.planned().isAfter(at) && !o.planned().isAfter(at.plusDays(SOON_DAYS)))
                .toList();
        return new DayView(
                at,
                open.span.from(),
                open.span.to(),
                open.weather.past(at),
                EvaluationWriter.write(then),
                new Sky(
                                open.weather,
                                at,
                                then.growth().soilC(at),
                                season.context.farm().units())
                        .view(),
                asks,
                soon,
                watched(open.span)
                        .flatMap(w -> w.apply(then).stream())
                        .map(f -> EvaluationWriter.figure(f, then))
                        .toList());
    }

    /** What came of it, against the plan as it was and what was expected. */
    public EndView end(Season season, List<ReplayChoice> choices) {
        Open open = open(season);
        List<ReplayChoice> inTime = inTime(choices);
        PlanDocument chosen = chosen(open.plan, inTime);
        LocalDate after = open.span.to().plusDays(1);
        Evaluated planned = evaluated(open, open.plan, after);
        Evaluated came = evaluated(open, chosen, after);
        List<Outcome> figures = watched(open.span)
                .flatMap(w -> outcome(w, planned, came).stream())
                .toList();
        List<Judged> judged = operations(planned, open.span)
                .map(o -> judged(open, o, inTime, came))
                .toList();
        return new EndView(figures, judged);
    }

    /**
     * What other days for one thing would have come to in that weather, all else as chosen.
     *
     * @throws Refused when nothing of that kind is done to that subject in the season
     */
    public OtherDays otherDays(Season season, List<ReplayChoice> choices, String kind, String subject) {
        Open open = open(season);
        PlanDocument chosen = chosen(open.plan, inTime(choices));
        LocalDate after = open.span.to().plusDays(1);
        Ask planned = of(evaluated(open, open.plan, after), open.span, kind, subject)
                .orElseThrow(() -> new Refused("/subject", "nothing like that is done in this season"));
        Evaluated came = evaluated(open, chosen, after);
        LocalDate done = of(came, open.span, kind, subject).map(Ask::planned).orElse(planned.planned());
        return new OtherDays(kind, subject, tried(open, planned, done, chosen, came));
    }

    private static Optional<Ask> of(Evaluated e, ReplaySpan span, String kind, String subject) {
        return operations(e, span)
                .filter(o -> o.kind().equals(kind) && o.subject().equals(subject))
                .findFirst();
    }

    private Judged judged(Open open, Ask planned, List<ReplayChoice> choices, Evaluated came) {
        LocalDate done = of(came, open.span, planned.kind(), planned.subject())
                .map(Ask::planned)
                .orElse(planned.planned());
        Function<Evaluated, Optional<Figure>> rests = planned.subject().equals(open.span.coverId())
                ? ofCover(planned.subject(), GrownCover::mass)
                : ofCrop(planned.subject(), GrownCrop::mass);
        List<ReplayChoice> known =
                choices.stream().filter(c -> !c.made().isAfter(done)).toList();
        Evaluated then = evaluated(open, chosen(open.plan, known), done);
        return new Judged(
                planned.kind(),
                planned.subject(),
                planned.what(),
                planned.planned(),
                done,
                rests.apply(then).map(f -> EvaluationWriter.figure(f, then)),
                rests.apply(came).map(f -> EvaluationWriter.figure(f, came)));
    }

    /** Other days for one thing, all else as chosen, in the weather that came. */
    private List<Tried> tried(Open open, Ask planned, LocalDate done, PlanDocument chosen, Evaluated came) {
        Set<LocalDate> days = new LinkedHashSet<>();
        LocalDate first = (done.isBefore(planned.planned()) ? done : planned.planned()).minusDays(TRIED_AROUND_DAYS);
        LocalDate last = (done.isAfter(planned.planned()) ? done : planned.planned()).plusDays(TRIED_AROUND_DAYS);
        for (LocalDate d = first; !d.isAfter(last); d = d.plusDays(TRIED_EVERY_DAYS)) {
            days.add(d);
        }
        days.add(planned.planned());
        days.add(done);
        List<Ask> all = operations(came, open.span).toList();
        return days.stream()
                .sorted()
                .filter(d -> open.span.holds(d) && fits(d, planned, all))
                .map(d -> new Tried(
                        d,
                        values(
                                d.equals(done)
                                        ? came
                                        : evaluated(
                                                open,
                                                PlanEdit.dated(chosen, planned.kind(), planned.subject(), d),
                                                open.span.to().plusDays(1)),
                                open.span)))
                .toList();
    }

    /** Whether a day leaves the order of sowing, ending and harvest as it is. */
    private static boolean fits(LocalDate day, Ask planned, List<Ask> all) {
        return all.stream()
                .filter(o -> o.subject().equals(planned.subject()) && !o.kind().equals(planned.kind()))
                .allMatch(o -> planned.kind().equals("sow")
                        ? day.isBefore(o.planned().minusDays(APART_DAYS))
                        : day.isAfter(o.planned().plusDays(APART_DAYS)));
    }

    private static List<Value> values(Evaluated e, ReplaySpan span) {
        return watched(span)
                .flatMap(w -> w.apply(e).stream())
                .map(f -> EvaluationWriter.figure(f, e))
                .map(f -> new Value(f.id(), f.value(), f.text()))
                .toList();
    }

    /** Of a figure that came to something. */
    private static Optional<Outcome> outcome(
            Function<Evaluated, Optional<Figure>> of, Evaluated planned, Evaluated came) {
        Optional<Figure> then = of.apply(planned);
        return of.apply(came)
                .map(f -> new Outcome(
                        f.id(),
                        then.map(p -> EvaluationWriter.figure(p, planned)),
                        Optional.of(EvaluationWriter.figure(f, came)),
                        then.map(p -> FigureDifference.of(p, f, planned.units()))));
    }

    /** What is sown, ended and planted in the season, with its day as things stand. */
    private static Stream<Ask> operations(Evaluated e, ReplaySpan span) {
        Optional<String> crop = span.next().map(c -> c.id());
        return e.plan().operations().stream()
                .filter(o -> o.kind().equals("sow") || o.kind().equals("end"))
                .filter(o -> o.subject().equals(Optional.of(span.coverId()))
                        || o.kind().equals("sow") && o.subject().equals(crop))
                .filter(o -> e.dates().containsKey(o.id()))
                .map(o -> new Ask(
                        o.kind(),
                        o.subject().orElseThrow(),
                        what(e, o.kind(), o.subject().orElseThrow(), span),
                        e.dates().get(o.id()).on(),
                        o instanceof Operation.End end
                                ? methods(e, end.passes().stream().findFirst().map(Operation.EndPassEntry::method))
                                : List.of()))
                .sorted(Comparator.comparing(Ask::planned));
    }

    private static String what(Evaluated e, String kind, String subject, ReplaySpan span) {
        if (subject.equals(span.coverId())) {
            return kind.equals("sow") ? "sow the cover" : "end the cover";
        }
        return "plant "
                + span.next().map(c -> c.crop().name().toLowerCase(Locale.ROOT)).orElse("the crop");
    }

    private static List<Method> methods(Evaluated e, Optional<String> own) {
        return e.knowledge().terminationMethods().all().stream()
                .sorted(Comparator.comparing((TerminationMethod m) -> !own.equals(Optional.of(m.id()))))
                .map(m -> new Method(m.id(), m.name()))
                .toList();
    }

    private static boolean isDecided(Ask o, List<ReplayChoice> choices) {
        return choices.stream()
                .anyMatch(c -> c.isOf(o.kind(), o.subject()) && c.isDone() && c.to().equals(o.planned()));
    }

    private static List<ReplayChoice> inTime(List<ReplayChoice> choices) {
        return choices.stream().sorted(Comparator.comparing(ReplayChoice::made)).toList();
    }

    private static PlanDocument chosen(PlanDocument plan, List<ReplayChoice> choices) {
        PlanDocument p = plan;
        for (ReplayChoice c : choices) {
            p = PlanEdit.dated(p, c.kind(), c.subject(), c.to());
            if (c.method().isPresent()) {
                p = PlanEdit.endedBy(p, c.subject(), c.method().get());
            }
        }
        return p;
    }

    /** What an eye is kept on: of the cover, of the crop after it, and of the whole rotation. */
    private static Stream<Function<Evaluated, Optional<Figure>>> watched(ReplaySpan span) {
        String cover = span.coverId();
        Stream<Function<Evaluated, Optional<Figure>>> ofCover = Stream.of(
                ofCover(cover, GrownCover::mass),
                e -> e.cover(cover).grow().flatMap(GrownCover::nitrogen),
                e -> e.cover(cover).grow().flatMap(GrownCover::carbonToNitrogen),
                ofCover(cover, GrownCover::residueCover));
        Stream<Function<Evaluated, Optional<Figure>>> ofCrop = span.next().map(CropInTime::id).stream()
                .flatMap(id -> Stream.of(
                        ofCrop(id, GrownCrop::water), ofCrop(id, GrownCrop::mineralN), ofCrop(id, GrownCrop::mass)));
        Stream<Function<Evaluated, Optional<Figure>>> ofAll =
                Stream.of(e -> e.rotation().lowestCover(), e -> e.rotation().leached());
        return Stream.of(ofCover, ofCrop, ofAll).flatMap(s -> s);
    }

    private static Function<Evaluated, Optional<Figure>> ofCover(String id, Function<GrownCover, Figure> figure) {
        return e -> e.cover(id).grow().map(figure);
    }

    private static Function<Evaluated, Optional<Figure>> ofCrop(
            String id, Function<GrownCrop, Optional<Figure>> figure) {
        return e -> e.crops().stream()
                .filter(c -> c.crop().id().equals(id))
                .findFirst()
                .flatMap(c -> figure.apply(c.grow()));
    }

    private Open open(Season s) {
        PlanDocument plan = PlanEdit.unseen(s.plan);
        Context context = s.context.unseen();
        ReplaySpan span = span(plan, context, s.today, s.coverId);
        Climate base = base(s.context, s.today);
        String key = base.id() + " " + System.identityHashCode(base) + " " + firstYear(plan, span) + " "
                + span.yearOfEnd() + " " + s.year;
        PastWeather weather = kept.get(
                key,
                k -> PastWeather.of(base, record(base, s.today), firstYear(plan, span), span.yearOfEnd(), s.year)
                        .orElseThrow(() ->
                                new Refused("/year", "the record holds no such year with whole years before it")));
        return new Open(s, plan, context, span, weather);
    }

    private ReplaySpan span(PlanDocument plan, Context context, LocalDate today, String coverId) {
        return ReplaySpan.of(evaluator.evaluate(plan, context, today), coverId);
    }

    private Climate base(Context context, LocalDate today) {
        return evaluator
                .site(context, today)
                .map(SiteWeather::climate)
                .orElseThrow(() -> new Refused(
                        "/plan/fieldId",
                        "say first where the field lies, or choose a station; then a year can be replayed"));
    }

    private static List<Integer> record(Climate base, LocalDate today) {
        return base.years().stream().filter(y -> y < today.getYear()).toList();
    }

    /** The first calendar year for which the plan's own past is laid under it: that of the season before the cover. */
    private static int firstYear(PlanDocument plan, ReplaySpan span) {
        return span.from().minusYears(1).getYear();
    }

    private Evaluated evaluated(Open open, PlanDocument plan, LocalDate asOf) {
        Forecast ahead = open.weather.forecast(asOf);
        SiteWeather site = new SiteWeather(
                open.weather.climate(),
                ahead,
                Origin.ENTERED,
                "replay: " + open.weather.climate().name() + " as in " + open.season.year);
        return evaluator.evaluate(plan, open.context, asOf, site);
    }
}
