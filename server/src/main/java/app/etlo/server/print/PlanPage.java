package app.etlo.server.print;

import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.shown.ChapterViews.BoxView;
import app.etlo.core.plan.shown.ChapterViews.EndChapterView;
import app.etlo.core.plan.shown.ChapterViews.FeedChapterView;
import app.etlo.core.plan.shown.ChapterViews.MixChapterView;
import app.etlo.core.plan.shown.ChapterViews.PlantChapterView;
import app.etlo.core.plan.shown.ChapterViews.RateView;
import app.etlo.core.plan.shown.ChapterViews.SumView;
import app.etlo.core.plan.shown.Evaluation;
import app.etlo.core.plan.shown.Evaluation.CoverView;
import app.etlo.core.plan.shown.Evaluation.CropView;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.plan.shown.Evaluation.NoteView;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.plan.shown.FigureTexts;
import app.etlo.core.plan.shown.WorkingView;
import app.etlo.core.quantity.Shown;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What stands on the printed plan, in words: picture, what to do by date, seed, end, planting, nitrogen, notes, and all workings.
 * The template lays it out.
 *
 * @param svg the picture of the section; empty without one
 * @param refused why there is no picture though one was sent
 */
record PlanPage(
        String field,
        String farm,
        String area,
        String texture,
        String asOf,
        int revision,
        String svg,
        String refused,
        List<Dated> dates,
        List<CoverPart> covers,
        List<CropPart> crops,
        List<NoteLine> notes,
        List<WorkingLine> workings) {
    /** What stands where there is no figure. */
    private static final String NONE = "–";

    record Dated(String day, String what) {}

    /**
     * @param sums under the numbers of the rates
     * @param ended empty while its end is open
     */
    record CoverPart(
            String name,
            String aims,
            List<RateLine> rates,
            List<String> sums,
            List<BoxLine> boxes,
            String ended,
            String daysBefore,
            String biomass,
            String nitrogen) {}

    record RateLine(String name, String box, List<String> numbers) {}

    /**
     * @param over the width and distance of the catch test, without which its target says nothing
     */
    record BoxLine(String name, String rate, String weighs, String over) {}

    record CropPart(String name, String system, String disturbed, String rating, List<NitrogenLine> nitrogen) {}

    record NitrogenLine(String label, String lowToHigh, String value) {}

    record NoteLine(String weight, String text, String accepted, String source) {}

    record WorkingLine(String label, String value, String rule, String inputs, String source) {}

    static PlanPage of(Evaluated evaluated, Dossier dossier, Optional<Printing.Picture> section, int revision) {
        Evaluation e = EvaluationWriter.write(evaluated);
        var field = dossier.context().field();
        return new PlanPage(
                field.name(),
                dossier.context().farm().name(),
                text(e.field().map(f -> f.area())),
                field.texture().map(t -> ", " + t).orElse(""),
                text(Shown.date(e.asOf())),
                revision,
                section.map(Printing.Picture::svg).orElse(""),
                section.map(Printing.Picture::refused).orElse(""),
                e.section().orElseThrow().pins().stream()
                        .map(p -> new Dated(
                                text(Shown.date(p.date())),
                                p.label() + (p.subject().isEmpty() ? "" : " " + name(e, p.subject()))))
                        .toList(),
                e.covers().stream().map(c -> cover(c, e, evaluated, dossier)).toList(),
                e.crops().stream().map(c -> crop(c, e)).toList(),
                e.notes().stream().map(PlanPage::note).toList(),
                workings(evaluated));
    }

    private static String name(Evaluation e, String subject) {
        return Stream.concat(
                        e.covers().stream().filter(c -> c.id().equals(subject)).map(CoverView::name),
                        e.crops().stream().filter(c -> c.id().equals(subject)).map(CropView::name))
                .findFirst()
                .orElse(subject);
    }

    private static CoverPart cover(CoverView c, Evaluation e, Evaluated evaluated, Dossier dossier) {
        MixChapterView mix = e.mix().get(c.id());
        EndChapterView end = e.end().get(c.id());
        return new CoverPart(
                c.name(),
                dossier.plan().covers().stream()
                        .filter(x -> x.id().equals(c.id()))
                        .flatMap(x -> x.aims().orElse(List.of()).stream())
                        .map(a -> a.replace('-', ' '))
                        .collect(Collectors.joining(", ")),
                mix.rates().stream().map(PlanPage::rate).toList(),
                mix.sum().map(PlanPage::sums).orElse(List.of()),
                mix.boxes().stream().map(b -> box(b, evaluated)).toList(),
                c.ended()
                        .map(d -> text(Shown.date(d))
                                + c.endMethod().map(m -> ", " + m).orElse(""))
                        .orElse(""),
                text(end.daysBeforePlanting()),
                text(end.biomass()),
                text(end.nitrogenInTops()));
    }

    private static RateLine rate(RateView r) {
        return new RateLine(
                r.name(),
                r.smallBox() ? "small" : "large",
                List.of(
                        text(r.bulk()),
                        text(r.seeds()),
                        text(r.weightShare()),
                        text(r.seedShare()),
                        text(r.seed()),
                        text(r.bags()),
                        text(r.cost())));
    }

    private static List<String> sums(SumView s) {
        return List.of(text(s.bulk()), text(s.seeds()), "", "", text(s.seed()), "", text(s.cost()));
    }

    private static BoxLine box(BoxView b, Evaluated evaluated) {
        Set<String> typed = Set.of("width", "distance");
        return new BoxLine(
                b.name(),
                text(b.rate()),
                text(b.catchTest()),
                WorkingView.of(evaluated.figures().get(b.catchTest().id()), evaluated).inputs().stream()
                        .filter(i -> typed.contains(i.symbol()))
                        .map(i -> text(i.label().toLowerCase(Locale.ROOT) + " " + i.text() + " " + i.unit()))
                        .collect(Collectors.joining(", ")));
    }

    private static CropPart crop(CropView c, Evaluation e) {
        PlantChapterView plant = e.plant().get(c.id());
        FeedChapterView feed = e.feed().get(c.id());
        return new CropPart(
                c.name(),
                c.system().map(x -> " (" + x.replace('-', ' ') + ")").orElse(""),
                text(plant.disturbed()),
                plant.rating().map(PlanPage::text).orElse(""),
                feed.leftToBuy().isEmpty()
                        ? List.of()
                        : Stream.concat(
                                        Stream.concat(
                                                Stream.of(line("Need", feed.need())),
                                                feed.lines().stream()
                                                        .filter(l -> l.leftOut().isEmpty())
                                                        .map(l -> line(l.label(), Optional.of(l.amount())))),
                                        Stream.of(
                                                line("Planned to be fed", feed.planned()),
                                                line("Left to buy", feed.leftToBuy()),
                                                line("Product", feed.product()),
                                                line("Product, volume", feed.productVolume()),
                                                line("Product for the field", feed.productForField()),
                                                line("Cost", feed.productCost())))
                                .flatMap(Optional::stream)
                                .toList());
    }

    private static Optional<NitrogenLine> line(String label, Optional<FigureView> figure) {
        return figure.map(f -> new NitrogenLine(
                label, text(f.low().map(l -> l + " … " + f.high().orElse("")).orElse("")), text(f)));
    }

    private static NoteLine note(NoteView n) {
        return new NoteLine(
                n.weight().id().toUpperCase(Locale.ROOT),
                text(n.text()),
                n.answer().map(a -> a.reason()).orElse(""),
                n.source());
    }

    private static List<WorkingLine> workings(Evaluated evaluated) {
        FigureTexts texts = FigureTexts.of(evaluated);
        return evaluated.figures().values().stream()
                .map(f -> WorkingView.of(f, evaluated, texts))
                .map(w -> new WorkingLine(
                        w.figure().label(),
                        text(w.figure()),
                        text(w.resultText() + " " + w.unit() + " = " + w.expression()),
                        text(w.inputs().stream()
                                .map(i -> i.symbol() + " = " + i.text() + " " + i.unit()
                                        + i.also().map(a -> " = " + a).orElse("") + " (" + i.label() + ", "
                                        + i.origin().id() + ")")
                                .collect(Collectors.joining("; "))),
                        text(w.source() + ". " + w.remark())))
                .toList();
    }

    private static String text(Optional<FigureView> figure) {
        return figure.map(PlanPage::text).orElse(NONE);
    }

    private static String text(FigureView f) {
        return text((f.text() + " " + f.unit()).strip());
    }

    /** Thin spaces are not in the printed fonts. */
    private static String text(String raw) {
        return raw.replace('\u202f', ' ');
    }
}
