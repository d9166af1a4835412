package app.etlo.core.plan.shown;

import app.etlo.core.advice.Note;
import app.etlo.core.advice.Step;
import app.etlo.core.knowledge.Crop;
import app.etlo.core.mix.Blend;
import app.etlo.core.nitrogen.LeftToBuy;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.chapter.Evaluated.CropResult;
import app.etlo.core.plan.shown.Evaluation.CoverView;
import app.etlo.core.plan.shown.Evaluation.CropView;
import app.etlo.core.plan.shown.Evaluation.DateView;
import app.etlo.core.plan.shown.Evaluation.DecisionView;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.plan.shown.Evaluation.LedgerLine;
import app.etlo.core.plan.shown.Evaluation.NextDecision;
import app.etlo.core.plan.shown.Evaluation.NoteView;
import app.etlo.core.plan.shown.Evaluation.PassView;
import app.etlo.core.plan.shown.Evaluation.WeatherView;
import app.etlo.core.plan.timeline.PlantingSystems;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.rotation.Window;
import app.etlo.core.termination.Stand;
import app.etlo.core.tillage.Pass;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;

/** Writes an evaluated plan out for reading: figures rounded and in the farm's units, notes with their answers. */
public final class EvaluationWriter {
    public static final String CORE_VERSION = "0.2.0";
    private static final int END_DECISION_DAYS = 30;

    private EvaluationWriter() {}

    /** All of it. */
    public static Evaluation write(Evaluated e) {
        return write(e, EnumSet.allOf(Part.class));
    }

    /**
     * Some of it.
     *
     * @param parts that are written; names, dates and what is next always are
     */
    public static Evaluation write(Evaluated e, Set<Part> parts) {
        ChapterWriter chapters = new ChapterWriter(e);
        return new Evaluation(
                e.plan().id(),
                e.asOf(),
                CORE_VERSION,
                e.units(),
                e.context().farm().currency(),
                parts.contains(Part.FIELD) ? Optional.of(chapters.field()) : Optional.empty(),
                parts.contains(Part.WINDOWS)
                        ? e.windows().stream().map(chapters::window).toList()
                        : List.of(),
                e.crops().stream().map(c -> crop(c, e)).toList(),
                e.covers().stream().map(EvaluationWriter::cover).toList(),
                parts.contains(Part.MIX) ? chapters.covers(chapters::mix) : Map.of(),
                parts.contains(Part.SOW) ? chapters.covers(chapters::sow) : Map.of(),
                parts.contains(Part.GROW) ? Optional.of(chapters.grow()) : Optional.empty(),
                parts.contains(Part.END) ? chapters.covers(chapters::end) : Map.of(),
                parts.contains(Part.PLANT) ? chapters.crops(chapters::plant) : Map.of(),
                parts.contains(Part.FEED) ? chapters.crops(chapters::feed) : Map.of(),
                parts.contains(Part.SECTION) ? Optional.of(SectionWriter.write(e)) : Optional.empty(),
                parts.contains(Part.NOTES)
                        ? e.notes().stream().map(n -> note(n, e)).toList()
                        : List.of(),
                parts.contains(Part.LEDGER) ? ledger(e, chapters) : List.of(),
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
                        .map(d -> new DecisionView(d.what(), d.by(), d.step(), d.subject(), e.said(d.because())))
                        .toList());
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
                banded ? Optional.of(band.high()) : Optional.empty(),
                f.about());
    }

    private static CropView crop(CropResult c, Evaluated e) {
        return new CropView(
                c.crop().id(),
                c.crop().crop().name(),
                c.crop().crop().family(),
                c.crop().planted(),
                c.crop().harvested(),
                c.cover(),
                c.crop().crop().need().filter(Crop.NeedFactor::byYield).isPresent(),
                c.crop().crop().testWeightLbBu().isPresent(),
                new PlantingSystems(e.plan(), e.knowledge()).of(c.crop().id()),
                c.passes().stream()
                        .map(p -> pass(c.plant().ratings(), p, c.planting().contains(p)))
                        .toList());
    }

    static PassView pass(Map<String, Figure> ratings, Pass p, boolean planting) {
        return new PassView(
                p.id(),
                p.date(),
                p.operation().name(),
                p.depth().map(q -> q.in(Unit.CENTIMETRE)).orElse(p.operation().depthCm()),
                p.shareDisturbed(),
                planting,
                p.operation().use().equals("strip"),
                ratings.get(p.id()).id());
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
        return new CoverView(
                c.id(),
                name(c),
                c.next().map(n -> n.id()),
                c.sown(),
                c.end().map(t -> t.date()),
                c.end().map(t -> t.method().name()),
                c.window().map(w -> w.id()),
                c.bench().isPresent());
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
                        .filter(c -> c.id().equals(id))
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

    private static List<LedgerLine> ledger(Evaluated e, ChapterWriter chapters) {
        List<LedgerLine> lines = new ArrayList<>();
        for (CropResult c : e.crops()) {
            BiConsumer<String, Optional<Figure>> line = (label, figure) ->
                    figure.ifPresent(f -> lines.add(new LedgerLine(c.crop().id(), label, chapters.view(f))));
            line.accept("Days in the window", e.windowAhead(c.crop().id()).map(Window::days));
            c.cover().map(e::cover).ifPresent(v -> {
                line.accept("Live seeds sown", v.mix().blend().map(Blend::seedsM2));
                line.accept("Seed cost", v.mix().blend().flatMap(Blend::costPerHa));
                line.accept("Dead before planting", v.ending().daysBeforePlanting());
                line.accept("Nitrogen in the tops", v.ending().stand().map(Stand::nitrogenInTops));
            });
            line.accept("Ground disturbed, planting", c.plant().disturbed());
            line.accept("Soil disturbance, whole crop", c.plant().rating());
            line.accept("Nitrogen planned", c.feed().planned());
            line.accept("Nitrogen left to buy", c.feed().bought().map(LeftToBuy::left));
        }
        return List.copyOf(lines);
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
