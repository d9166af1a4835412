package app.etlo.core.plan.asked;

import app.etlo.core.advice.Note;
import app.etlo.core.advice.Step;
import app.etlo.core.advice.Weight;
import app.etlo.core.knowledge.Use;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.chapter.Evaluated.CropResult;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.FallbackEntry;
import app.etlo.core.plan.document.PlanEdit;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.termination.EndGaps;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * The schools of ending a cover side by side, and the plan B of the adviser: each is the plan with its cover ended so, worked out. Two
 * schools are never averaged.
 */
public final class EndSchools {
    /** Early enough for soil and seedbed (common practice: two to four weeks). */
    private static final int EARLY_DAYS = 21;

    private static final int GREEN_DAYS = 3;
    private static final int LATER_DAYS = 14;
    /** A roller is let go from here on, %. */
    private static final double ROLLS_PERCENT = 85;

    private EndSchools() {}

    /**
     * @param columns names of the figures of each school, in their order
     */
    public record SchoolsView(List<String> columns, String costNote, List<EndSchoolView> schools) {}

    /**
     * One school.
     *
     * @param on the day of its first pass; absent where its stage is not reached
     * @param passes as the plan writes them, with their words
     * @param figures of the plan so ended, in the order of the columns
     * @param needs conditions, each with whether this field meets it; absent where nobody knows
     * @param against stops and doubts that the plan so ended would carry, the first sentence of each
     * @param forbidden whether one of them is a stop
     * @param fallback whether it is the adviser's plan B
     */
    public record EndSchoolView(
            String id,
            String name,
            Optional<LocalDate> on,
            List<EndSchoolPass> passes,
            String words,
            List<Optional<FigureView>> figures,
            String cost,
            List<EndNeed> needs,
            List<String> against,
            boolean forbidden,
            boolean planned,
            boolean fallback) {}

    /** A pass as the plan writes it. */
    public record EndSchoolPass(String method, int afterDays) {}

    /** A condition, and whether it is met; absent where nobody knows. */
    public record EndNeed(String text, Optional<Boolean> met) {}

    private record School(
            String id, String name, Optional<LocalDate> on, List<EndSchoolPass> passes, List<EndNeed> needs) {}

    /**
     * Of a cover.
     *
     * @param evaluate works a plan out
     * @throws Refused when the plan has no such cover, or no crop follows it
     */
    public static SchoolsView of(PlanDocument plan, String coverId, Function<PlanDocument, Evaluated> evaluate) {
        Evaluated now = evaluate.apply(plan);
        CoverResult cover = cover(now, coverId);
        LocalDate planting = cover.next()
                .flatMap(n -> n.planted())
                .orElseThrow(() ->
                        new Refused("/coverId", "date the planting of the crop that follows: schools are set by it"));
        EndDates.DatesView dates = EndDates.of(now, coverId, true).require();
        List<EndSchoolView> views = new ArrayList<>();
        for (School s : schools(now, cover, planting, dates)) {
            views.add(view(now, plan, coverId, s, evaluate, false));
        }
        for (FallbackEntry f : cover.entry().fallbacks().orElse(List.of())) {
            List<EndSchoolPass> passes = f.passes().stream()
                    .map(p -> new EndSchoolPass(p.method(), p.afterDays().orElse(0)))
                    .toList();
            views.add(view(
                    now,
                    plan,
                    coverId,
                    new School("b-" + f.id(), "Plan B", Optional.of(f.by()), passes, List.of()),
                    evaluate,
                    true));
        }
        return new SchoolsView(
                List.of(
                        "Dry tops",
                        "C:N",
                        "Nitrogen in the tops",
                        "From the cover",
                        "Soil water at planting",
                        "Residue cover at planting"),
                "Passes by the library's custom rates, " + Use.PRICE_CURRENCY + " of " + Use.PRICE_YEAR
                        + ", not at yours; products are not in them.",
                views);
    }

    private static CoverResult cover(Evaluated e, String id) {
        return e.covers().stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new Refused("/coverId", "the plan has no such cover"));
    }

    private static List<School> schools(Evaluated e, CoverResult cover, LocalDate planting, EndDates.DatesView dates) {
        boolean organic = e.context()
                .field()
                .certification()
                .filter(c -> !c.equals("conventional"))
                .isPresent();
        Set<String> machines = e.context().field().equipment().orElse(List.of()).stream()
                .map(m -> m.kind())
                .collect(Collectors.toSet());
        Optional<Boolean> stock =
                e.context().field().livestock().map(s -> !s.isBlank()).or(() -> Optional.of(false));
        Optional<Boolean> roller =
                machines.isEmpty() ? Optional.empty() : Optional.of(machines.contains("roller-crimper"));
        Optional<LocalDate> rolls = firstDay(dates, "kill-roller-crimper", ROLLS_PERCENT);
        boolean corn = cover.next().filter(n -> EndGaps.isCorn(n.crop())).isPresent();
        EndNeed herbicide = new EndNeed("a herbicide may be used", Optional.of(!organic));
        EndNeed rollerHere = new EndNeed("a roller-crimper", roller);
        EndNeed growing = new EndNeed("growing plants, days and nights warm enough for the spray", Optional.empty());
        List<School> found = new ArrayList<>();
        found.add(new School(
                "early",
                "Early, three weeks ahead",
                Optional.of(planting.minusDays(EARLY_DAYS)),
                List.of(new EndSchoolPass("burndown", 0)),
                List.of(herbicide, growing)));
        found.add(new School(
                "at-planting",
                "Sprayed at planting",
                Optional.of(planting),
                List.of(new EndSchoolPass("burndown", 0)),
                List.of(herbicide, new EndNeed("spray behind the planter, not before it", Optional.empty()))));
        found.add(new School(
                "green",
                "Planted green, killed before the crop is up",
                Optional.of(planting.plusDays(GREEN_DAYS)),
                List.of(new EndSchoolPass("burndown", 0)),
                corn
                        ? List.of(
                                herbicide,
                                new EndNeed(
                                        "nitrogen beside the row at planting",
                                        Optional.of(cover.facts().nearRowKgHa() > 0)),
                                new EndNeed("scouting from emergence", Optional.empty()))
                        : List.of(herbicide, new EndNeed("slots that close in green residue", Optional.empty()))));
        found.add(new School(
                "rolled-at-flowering",
                "Rolled at flowering, no herbicide",
                rolls,
                List.of(new EndSchoolPass("roller-crimper", 0)),
                List.of(
                        rollerHere,
                        new EndNeed(
                                "it flowers by planting",
                                Optional.of(
                                        rolls.filter(d -> !d.isAfter(planting)).isPresent())),
                        new EndNeed("a thick even mulch: weigh it ten days before", Optional.empty()))));
        found.add(new School(
                "sprayed-rolled-planted",
                "Sprayed, a day later rolled, then planted",
                Optional.of(planting.minusDays(3)),
                List.of(new EndSchoolPass("burndown", 0), new EndSchoolPass("roller-crimper", 1)),
                List.of(herbicide, rollerHere, growing)));
        found.add(new School(
                "winterkill",
                "Left to winter",
                Optional.of(planting.minusDays(EARLY_DAYS)),
                List.of(new EndSchoolPass("winterkill", 0)),
                List.of(
                        new EndNeed(
                                "frost that kills it in 9 years of 10",
                                Optional.of(cover.facts().stand().aliveShare() <= 0.1)),
                        new EndNeed("a second tool and its date", Optional.empty()))));
        found.add(new School(
                "grazed",
                "Grazed, then sprayed",
                Optional.of(planting.minusDays(EARLY_DAYS)),
                List.of(new EndSchoolPass("graze", 0), new EndSchoolPass("burndown", 10)),
                List.of(new EndNeed("stock and fence", stock), herbicide, new EndNeed("firm soil", Optional.empty()))));
        found.add(new School(
                "short-then-killed",
                "Grazed short, planted, killed two weeks later",
                Optional.of(planting.minusDays(3)),
                List.of(new EndSchoolPass("graze", 0), new EndSchoolPass("burndown", 3 + LATER_DAYS)),
                List.of(
                        new EndNeed("stock and fence", stock),
                        new EndNeed("a crop that bears the spray", Optional.empty()),
                        new EndNeed(
                                "no rule on when a cover must be dead",
                                Optional.of(!e.context()
                                        .farm()
                                        .endRules()
                                        .orElse(java.util.Map.of())
                                        .containsKey("zone"))))));
        found.add(new School(
                "incorporated",
                "Mown, then worked in",
                Optional.of(planting.minusDays(EARLY_DAYS + 3L)),
                List.of(new EndSchoolPass("mow", 0), new EndSchoolPass("till", 3)),
                List.of(
                        new EndNeed("soil that bears tillage: slope, erosion, programme", Optional.empty()),
                        new EndNeed(
                                "a tillage tool",
                                machines.isEmpty() ? Optional.empty() : Optional.of(machines.contains("tillage"))))));
        return found.stream()
                .filter(s -> s.on().filter(d -> d.isBefore(dates.from())).isEmpty())
                .toList();
    }

    /** The first day on which a row's middle comes so far. */
    private static Optional<LocalDate> firstDay(EndDates.DatesView dates, String row, double least) {
        return dates.rows().stream()
                .filter(r -> r.id().equals(row))
                .flatMap(r -> r.points().stream())
                .filter(p -> p.middle() >= least)
                .map(EndRows.PointView::on)
                .findFirst();
    }

    private static EndSchoolView view(
            Evaluated now,
            PlanDocument plan,
            String coverId,
            School s,
            Function<PlanDocument, Evaluated> evaluate,
            boolean fallback) {
        String words = s.passes().stream()
                .map(p -> now.knowledge().terminationMethods().get(p.method()).name()
                        + (p.afterDays() > 0
                                ? " after " + p.afterDays() + (p.afterDays() == 1 ? " day" : " days")
                                : ""))
                .collect(Collectors.joining(", "));
        if (s.on().isEmpty()) {
            return new EndSchoolView(
                    s.id(),
                    s.name(),
                    s.on(),
                    s.passes(),
                    words,
                    List.of(),
                    cost(now, s),
                    s.needs(),
                    List.of("The stage it needs is not reached in the days looked at."),
                    true,
                    false,
                    fallback);
        }
        PlanDocument so = ended(plan, coverId, s);
        Evaluated e = evaluate.apply(so);
        CoverResult c = cover(e, coverId);
        List<Note> notes = e.notes().stream()
                .filter(n -> n.step() == Step.END && n.subject().startsWith(coverId) && n.weight() != Weight.TIP)
                .toList();
        Optional<CropResult> crop = c.next()
                .flatMap(n -> e.crops().stream()
                        .filter(x -> x.crop().id().equals(n.id()))
                        .findFirst());
        return new EndSchoolView(
                s.id(),
                s.name(),
                s.on(),
                s.passes(),
                words,
                List.of(
                        c.mix().outlook().map(o -> figure(e, o.mass())),
                        c.grow().flatMap(g -> g.carbonToNitrogen()).map(f -> figure(e, f)),
                        c.ending().stand().map(x -> figure(e, x.nitrogenInTops())),
                        c.credit().map(x -> figure(e, x.credit())),
                        crop.flatMap(x -> x.grow().water()).map(f -> figure(e, f)),
                        crop.flatMap(x -> x.grow().residueCover()).map(f -> figure(e, f))),
                cost(now, s),
                s.needs(),
                notes.stream().map(n -> firstSentence(e.said(n.text()))).toList(),
                notes.stream().anyMatch(n -> n.weight() == Weight.STOP),
                isPlanned(now, coverId, s),
                fallback);
    }

    /** What a note says first; the whole of it stands in the margin once the school is taken. */
    private static String firstSentence(String text) {
        return text.split("(?<=[.?:]) (?=[A-Z])", 2)[0];
    }

    private static FigureView figure(Evaluated e, Figure f) {
        return EvaluationWriter.figure(f, e.units(), "");
    }

    private static boolean isPlanned(Evaluated now, String coverId, School s) {
        var endings = now.inTime().timeline().endings(coverId);
        return !endings.isEmpty()
                && s.on().filter(endings.get(0).date()::equals).isPresent()
                && endings.stream()
                        .map(x -> x.method().id())
                        .toList()
                        .equals(s.passes().stream().map(EndSchoolPass::method).toList());
    }

    private static String cost(Evaluated e, School s) {
        Unit money = e.units().shown(Unit.MONEY_PER_HA);
        double low = 0;
        double high = 0;
        for (EndSchoolPass p : s.passes()) {
            Band cost = e.knowledge()
                    .terminationMethods()
                    .get(p.method())
                    .practice()
                    .costPerHa();
            low += cost.low();
            high += cost.high();
        }
        return high <= 0
                ? "no pass"
                : Shown.plain(Unit.MONEY_PER_HA.to(money, low), 0) + " to "
                        + Shown.plain(Unit.MONEY_PER_HA.to(money, high), 0) + " "
                        + money.written().replace("¤", Use.PRICE_CURRENCY);
    }

    private static PlanDocument ended(PlanDocument plan, String coverId, School s) {
        PlanDocument dated = PlanEdit.dated(plan, "end", coverId, s.on().orElseThrow());
        List<Operation> operations = dated.operations().stream()
                .map(o -> o instanceof Operation.End end && end.subject().equals(Optional.of(coverId))
                        ? new Operation.End(
                                end.id(),
                                end.subject(),
                                end.when(),
                                end.seq(),
                                end.zone(),
                                passes(end.id(), s.passes()))
                        : o)
                .toList();
        return PlanEdit.with(dated, dated.crops(), dated.covers(), operations);
    }

    private static List<Operation.EndPassEntry> passes(String id, List<EndSchoolPass> passes) {
        List<Operation.EndPassEntry> found = new ArrayList<>();
        for (EndSchoolPass p : passes) {
            found.add(new Operation.EndPassEntry(
                    id + "-" + (found.size() + 1),
                    p.method(),
                    p.afterDays() > 0 ? Optional.of(p.afterDays()) : Optional.empty(),
                    Optional.empty()));
        }
        return found;
    }
}
