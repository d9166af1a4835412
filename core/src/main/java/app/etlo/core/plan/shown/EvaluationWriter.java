package app.etlo.core.plan.shown;

import app.etlo.core.advice.Note;
import app.etlo.core.advice.Step;
import app.etlo.core.mix.Blend;
import app.etlo.core.mix.SeedBox;
import app.etlo.core.mix.SeedRate;
import app.etlo.core.mix.UsefulSowing;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.chapter.Evaluated.CropResult;
import app.etlo.core.plan.shown.Evaluation.BoxView;
import app.etlo.core.plan.shown.Evaluation.CoverView;
import app.etlo.core.plan.shown.Evaluation.CropView;
import app.etlo.core.plan.shown.Evaluation.DateView;
import app.etlo.core.plan.shown.Evaluation.DecisionView;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.plan.shown.Evaluation.LatestView;
import app.etlo.core.plan.shown.Evaluation.LedgerLine;
import app.etlo.core.plan.shown.Evaluation.NextDecision;
import app.etlo.core.plan.shown.Evaluation.NoteView;
import app.etlo.core.plan.shown.Evaluation.PassView;
import app.etlo.core.plan.shown.Evaluation.RateView;
import app.etlo.core.plan.shown.Evaluation.WeatherView;
import app.etlo.core.plan.shown.Evaluation.WindowView;
import app.etlo.core.plan.timeline.PlantingSystems;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.tillage.Pass;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Writes an evaluated plan out for reading: figures rounded and in the farm's units, notes with their answers. */
public final class EvaluationWriter {
    public static final String CORE_VERSION = "0.2.0";
    private static final int END_DECISION_DAYS = 30;

    private EvaluationWriter() {}

    public static Evaluation write(Evaluated e) {
        String currency = e.context().farm().currency();
        Map<String, FigureView> figures = new LinkedHashMap<>();
        FigureTexts texts = FigureTexts.of(e);
        e.figures().forEach((id, f) -> figures.put(id, figure(f, e.units(), currency, texts)));
        return new Evaluation(
                e.plan().id(),
                e.asOf(),
                CORE_VERSION,
                e.units(),
                currency,
                figures,
                e.windows().stream()
                        .map(w -> new WindowView(
                                w.id(),
                                w.kind(),
                                w.kind().words(),
                                w.after(),
                                w.before(),
                                w.from(),
                                w.to(),
                                w.sowUntil(),
                                w.figures(),
                                w.kind().usualMethod()))
                        .toList(),
                e.crops().stream().map(c -> crop(c, e)).toList(),
                e.covers().stream().map(EvaluationWriter::cover).toList(),
                SectionWriter.write(e),
                e.notes().stream().map(n -> note(n, e)).toList(),
                ledger(e),
                next(e),
                e.dates().entrySet().stream()
                        .map(d -> new DateView(
                                d.getKey(),
                                d.getValue().on(),
                                d.getValue().early(),
                                d.getValue().late(),
                                d.getValue().how().map(e::said)))
                        .toList(),
                e.site()
                        .map(s -> new WeatherView(
                                s.climate().id(),
                                s.climate().name(),
                                s.origin(),
                                s.how(),
                                e.years().map(YearsAhead::count).orElse(0),
                                s.forecast().issued(),
                                e.years().map(y -> y.missingUntil(e.asOf())).orElse(0))),
                e.calendar().stream()
                        .map(d -> new DecisionView(
                                d.what(), d.by(), d.step(), d.subject(), e.said(d.because()), d.figureId()))
                        .toList());
    }

    public static LatestView latest(UsefulSowing u) {
        return new LatestView(
                u.species().id(),
                u.species().name(),
                u.half(),
                u.mostYears(),
                u.nearlyAll(),
                u.years(),
                u.figure().map(Figure::id));
    }

    /** A figure of an evaluation, written as everywhere else in it. */
    public static FigureView figure(Figure f, Evaluated e) {
        return figure(f, e.units(), e.context().farm().currency(), FigureTexts.of(e));
    }

    /** A figure as it is read where it stands alone. */
    public static FigureView figure(Figure f, UnitSystem units, String currency) {
        return figure(f, units, currency, new FigureTexts(Map.of(), units));
    }

    /** A figure as it is read among those of its evaluation. */
    static FigureView figure(Figure f, UnitSystem units, String currency, FigureTexts texts) {
        Unit shown = units.shown(f.unit());
        Band band = f.value().map(v -> f.unit().to(shown, v));
        double spread = band.high() - band.low();
        String low = Shown.text(band.low(), shown, spread);
        String high = Shown.text(band.high(), shown, spread);
        boolean banded = !low.equals(high);
        String text = texts.text(f);
        return new FigureView(
                f.id(),
                Said.in(f.label(), units, currency),
                band.middle(),
                text,
                WorkingView.symbol(shown, currency, text),
                f.origin(),
                banded ? Optional.of(low) : Optional.empty(),
                banded ? Optional.of(high) : Optional.empty(),
                banded ? Optional.of(band.low()) : Optional.empty(),
                banded ? Optional.of(band.high()) : Optional.empty());
    }

    private static CropView crop(CropResult c, Evaluated e) {
        return new CropView(
                c.crop().id(),
                c.crop().crop().name(),
                c.crop().crop().family(),
                c.crop().planted(),
                c.crop().harvested(),
                c.cover(),
                c.crop().crop().need().isPresent(),
                c.crop().crop().testWeightLbBu().isPresent(),
                new PlantingSystems(e.plan(), e.knowledge()).of(c.crop().id()),
                c.passes().stream()
                        .map(p -> pass("plant/" + c.crop().id(), p, c.planting().contains(p)))
                        .toList());
    }

    static PassView pass(String prefix, Pass p, boolean planting) {
        return new PassView(
                p.id(),
                p.date(),
                p.operation().name(),
                p.depth().map(q -> q.in(Unit.CENTIMETRE)).orElse(p.operation().depthCm()),
                p.shareDisturbed(),
                planting,
                p.operation().use().equals("strip"),
                prefix + "/" + p.id() + "/rating");
    }

    public static String name(CoverResult c) {
        List<String> names = c.species().stream().map(s -> s.name()).toList();
        return switch (names.size()) {
            case 0 -> "Cover, no species yet";
            case 1 -> names.get(0);
            case 2 -> names.get(0) + " and " + names.get(1).toLowerCase(Locale.ROOT);
            default -> names.size() + "-species mix";
        };
    }

    private static CoverView cover(CoverResult c) {
        List<SeedBox> boxes = c.blend().map(Blend::boxes).orElse(List.of());
        return new CoverView(
                c.entry().id(),
                name(c),
                c.next().map(n -> n.id()),
                c.sown(),
                c.end().map(t -> t.date()),
                c.end().map(t -> t.method().name()),
                c.blend().map(Blend::rates).orElse(List.of()).stream()
                        .map(r -> rate(r, boxes))
                        .toList(),
                boxes.stream()
                        .map(b -> new BoxView(
                                b.id(),
                                b.name(),
                                b.species(),
                                b.rateKgHa().id(),
                                b.catchG().id(),
                                b.densityKgL().id(),
                                b.fills().map(Figure::id)))
                        .toList(),
                c.blend().map(Blend::inoculants).orElse(List.of()).stream()
                        .map(i -> new Evaluation.InoculantView(
                                i.group(), i.species(), i.amountG().id()))
                        .toList(),
                c.window().map(w -> w.id()),
                c.useful().stream().map(EvaluationWriter::latest).toList(),
                c.bench().isPresent(),
                c.checks().stream()
                        .map(k -> new Evaluation.CheckView(k.id(), k.on(), k.said(), k.figureId()))
                        .toList());
    }

    private static RateView rate(SeedRate r, List<SeedBox> boxes) {
        var species = r.component().species();
        boolean small = boxes.stream()
                .anyMatch(b -> b.id().endsWith("small") && b.species().contains(species.id()));
        return new RateView(species.id(), species.name(), species.group(), small);
    }

    private static NoteView note(Note n, Evaluated e) {
        String hash = n.factsHash();
        return new NoteView(
                n.rule(),
                n.weight(),
                n.step(),
                n.subject(),
                about(n.subject().split("/", 2)[0], e),
                n.at(),
                e.said(n.text()),
                n.facts().stream().map(e::said).toList(),
                e.said(n.wouldChange()),
                n.source().text(),
                n.source().status(),
                n.confidence(),
                n.ask(),
                hash,
                e.plan().answers().stream()
                        .filter(a -> a.rule().equals(n.rule())
                                && a.subject().equals(n.subject())
                                && a.factsHash().equals(hash))
                        .findFirst());
    }

    /** The crop or cover of an id, named so that two in one plan can be distinguished. */
    private static String about(String id, Evaluated e) {
        Optional<String> crop = e.crops().stream()
                .map(CropResult::crop)
                .filter(c -> c.id().equals(id))
                .findFirst()
                .map(c -> c.crop().name() + year(c.harvested().or(c::planted)));
        return crop.or(() -> e.covers().stream()
                        .filter(c -> c.entry().id().equals(id))
                        .findFirst()
                        .map(c -> coverInPlace(c, e)))
                .orElse("This field");
    }

    private static String coverInPlace(CoverResult c, Evaluated e) {
        if (c.entry().place().relation().equals("into")) {
            return "Cover in " + lower(about(c.entry().place().cropId(), e));
        }
        return c.next()
                .map(n -> "Cover ahead of " + lower(n.crop().name()) + year(n.planted()))
                .orElseGet(() -> "Cover after " + lower(about(c.entry().place().cropId(), e)));
    }

    private static String lower(String name) {
        return name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    }

    private static String year(Optional<LocalDate> day) {
        return day.map(d -> " " + d.getYear()).orElse("");
    }

    private static List<LedgerLine> ledger(Evaluated e) {
        List<LedgerLine> lines = new ArrayList<>();
        for (CropResult c : e.crops()) {
            String id = c.crop().id();
            line(lines, e, id, "Days in the window", "window/" + id + "/days");
            c.cover().ifPresent(v -> {
                line(lines, e, id, "Live seeds sown", "mix/" + v + "/seeds");
                line(lines, e, id, "Seed cost", "mix/" + v + "/costPerHa");
                line(lines, e, id, "Dead before planting", "end/" + v + "/daysBeforePlanting");
                line(lines, e, id, "Nitrogen in the tops", "end/" + v + "/nitrogenInTops");
            });
            line(lines, e, id, "Ground disturbed, planting", "plant/" + id + "/disturbed");
            line(lines, e, id, "Soil disturbance, whole crop", "plant/" + id + "/rating");
            line(lines, e, id, "Nitrogen planned", "feed/" + id + "/planned");
            line(lines, e, id, "Nitrogen left to buy", "feed/" + id + "/leftToBuy");
        }
        return List.copyOf(lines);
    }

    private static void line(List<LedgerLine> lines, Evaluated e, String cropId, String label, String figureId) {
        if (e.figures().containsKey(figureId)) {
            lines.add(new LedgerLine(cropId, label, figureId));
        }
    }

    private static Optional<NextDecision> next(Evaluated e) {
        List<NextDecision> open = new ArrayList<>();
        e.calendar().stream()
                .filter(d -> d.step() == Step.MIX)
                .forEach(d -> open.add(new NextDecision(d.what(), d.by(), d.step())));
        for (CoverResult c : e.covers()) {
            Optional<LocalDate> planting = c.next().flatMap(n -> n.planted());
            c.sown().ifPresent(d -> open.add(new NextDecision("sow cover", d, Step.SOW)));
            c.end().ifPresent(t -> open.add(new NextDecision("end cover", t.date(), Step.END)));
            if (c.end().isEmpty()) {
                planting.ifPresent(
                        d -> open.add(new NextDecision("decide the end", d.minusDays(END_DECISION_DAYS), Step.END)));
            }
        }
        e.crops().forEach(c -> {
            String name = c.crop().crop().name().toLowerCase(Locale.ROOT);
            c.crop().planted().ifPresent(d -> open.add(new NextDecision("plant " + name, d, Step.PLANT)));
            c.crop().harvested().ifPresent(d -> open.add(new NextDecision("harvest " + name, d, Step.ROTATION)));
        });
        return open.stream().filter(d -> !d.date().isBefore(e.asOf())).min(Comparator.comparing(NextDecision::date));
    }
}
