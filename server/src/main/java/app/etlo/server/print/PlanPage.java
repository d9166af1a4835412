package app.etlo.server.print;

import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.shown.Evaluation;
import app.etlo.core.plan.shown.Evaluation.BoxView;
import app.etlo.core.plan.shown.Evaluation.CoverView;
import app.etlo.core.plan.shown.Evaluation.CropView;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.plan.shown.Evaluation.NoteView;
import app.etlo.core.plan.shown.Evaluation.PinView;
import app.etlo.core.plan.shown.Evaluation.RateView;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.plan.shown.FigureTexts;
import app.etlo.core.plan.shown.WorkingView;
import app.etlo.core.quantity.Shown;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.web.util.HtmlUtils;

/** The plan as a page to print: picture, what to do by date, seed, end, planting, nitrogen, notes, and all workings. */
final class PlanPage {
    private static final String STYLE = """
            @page { size: A4; margin: 15mm 14mm 16mm 14mm; @bottom-right { content: counter(page) " / " counter(pages);
              font-family: 'Etlo Figures'; font-size: 8pt; } }
            body { font-family: 'Etlo Text'; font-size: 9.6pt; color: #0F1E26; }
            h1 { font-size: 19pt; margin: 0; } h2 { font-size: 12.5pt; margin: 13pt 0 3pt; border-bottom: 1pt solid #0F1E26; }
            h3 { font-size: 10pt; margin: 8pt 0 1pt; } h2, h3 { page-break-after: avoid; } table { page-break-inside: avoid; }
            table { width: 100%; border-collapse: collapse; } td, th { padding: 1.6pt 4pt 1.6pt 0; vertical-align: top; }
            th { text-align: left; font-weight: normal; color: #3A484F; font-size: 8.5pt; border-bottom: .7pt solid #0F1E26; }
            tr { page-break-inside: avoid; } td { border-bottom: .4pt solid #D3DAD8; }
            .n { text-align: right; font-family: 'Etlo Figures'; } .f { font-family: 'Etlo Figures'; }
            .i { font-style: italic; color: #3A484F; } .s { font-size: 8.2pt; color: #3A484F; }
            .note { margin: 3pt 0; page-break-inside: avoid; } .appendix { page-break-before: always; }
            .w { margin: 5pt 0; page-break-inside: avoid; border-top: .4pt solid #9DA9AA; padding-top: 2pt; }
            """;

    private final Evaluated evaluated;
    private final Evaluation e;
    private final Dossier dossier;
    private final StringBuilder page = new StringBuilder();

    private PlanPage(Evaluated evaluated, Dossier dossier) {
        this.evaluated = evaluated;
        this.e = EvaluationWriter.write(evaluated);
        this.dossier = dossier;
    }

    static String html(Evaluated evaluated, Dossier dossier, Optional<Printing.Picture> section, int revision) {
        return new PlanPage(evaluated, dossier).write(section, revision);
    }

    private String write(Optional<Printing.Picture> section, int revision) {
        page.append("<html><head><title>Plan</title><style>").append(STYLE).append("</style></head><body>");
        var field = dossier.context().field();
        page.append("<h1>")
                .append(text(field.name()))
                .append("</h1><p class=\"i\">")
                .append(text(dossier.context().farm().name()))
                .append(", ")
                .append(figure("field/area"))
                .append(field.texture().map(t -> ", " + text(t)).orElse(""))
                .append(". Plan of ")
                .append(text(Shown.date(e.asOf())))
                .append(", revision ")
                .append(revision)
                .append(".</p>");
        section.ifPresent(p -> page.append(
                p.refused().isEmpty()
                        ? "<div style=\"margin-top:6pt\">" + p.svg() + "</div>"
                                + "<p class=\"s\">Heights and roots as forecast, where the plan is simulated; one scale above"
                                + " and below ground.</p>"
                        : "<p class=\"s\">" + text(p.refused()) + "</p>"));
        toDo();
        e.covers().forEach(this::cover);
        e.crops().forEach(this::crop);
        notes();
        cautions();
        workings();
        return page.append("</body></html>").toString();
    }

    private void toDo() {
        page.append("<h2>What to do by date</h2><table>");
        for (PinView p : e.section().pins()) {
            page.append("<tr><td class=\"f\" width=\"90\">")
                    .append(text(Shown.date(p.date())))
                    .append("</td><td>")
                    .append(text(p.label() + (p.subject().isEmpty() ? "" : " " + name(p.subject()))))
                    .append("</td></tr>");
        }
        page.append("</table>");
    }

    private String name(String subject) {
        return e.covers().stream()
                .filter(c -> c.id().equals(subject))
                .map(CoverView::name)
                .findFirst()
                .or(() -> e.crops().stream()
                        .filter(c -> c.id().equals(subject))
                        .map(CropView::name)
                        .findFirst())
                .orElse(subject);
    }

    private void cover(CoverView c) {
        String mix = "mix/" + c.id() + "/";
        page.append("<h2>Cover: ").append(text(c.name())).append("</h2>");
        aims(c.id());
        if (!c.rates().isEmpty()) {
            page.append(
                    "<table><tr><th>species</th><th>box</th><th class=\"n\">in the box</th><th class=\"n\">live seeds</th>"
                            + "<th class=\"n\">% of weight</th><th class=\"n\">% of seeds</th><th class=\"n\">seed to have</th>"
                            + "<th class=\"n\">bags</th><th class=\"n\">cost</th></tr>");
            for (RateView r : c.rates()) {
                String id = mix + r.species() + "/";
                page.append("<tr><td>")
                        .append(text(r.name()))
                        .append("</td><td>")
                        .append(r.smallBox() ? "small" : "large")
                        .append("</td>");
                List.of("bulk", "seeds", "weightShare", "seedShare", "seed", "bags", "cost")
                        .forEach(what -> number(id + what));
                page.append("</tr>");
            }
            page.append("<tr><td colspan=\"2\">Sum</td>");
            number(mix + "bulk");
            number(mix + "seeds");
            page.append("<td></td><td></td>");
            number(mix + "seed");
            page.append("<td></td>");
            number(mix + "cost");
            page.append("</tr></table>");
            for (BoxView b : c.boxes()) {
                page.append("<p>")
                        .append(b.id().equals("small") ? "Small" : "Large")
                        .append(" box ")
                        .append(figure(b.rateFigure()))
                        .append("; the catch test must weigh ")
                        .append(figure(b.catchFigure()))
                        .append(inputsOf(b.catchFigure(), "width", "distance"))
                        .append(".</p>");
            }
        }
        c.ended()
                .ifPresent(d -> page.append("<p>Ended ")
                        .append(text(Shown.date(d)))
                        .append(c.endMethod().map(m -> ", " + text(m)).orElse(""))
                        .append(", ")
                        .append(figure("end/" + c.id() + "/daysBeforePlanting"))
                        .append(" before planting. Biomass ")
                        .append(figure("end/" + c.id() + "/biomass"))
                        .append(", nitrogen in the tops ")
                        .append(figure("end/" + c.id() + "/nitrogenInTops"))
                        .append(".</p>"));
    }

    private void aims(String coverId) {
        dossier.plan().covers().stream()
                .filter(c -> c.id().equals(coverId))
                .flatMap(c -> c.aims().stream())
                .findFirst()
                .filter(a -> !a.isEmpty())
                .ifPresent(a -> page.append("<p class=\"i\">Aims, ranked: ")
                        .append(text(a.stream().map(x -> x.replace('-', ' ')).collect(Collectors.joining(", "))))
                        .append(".</p>"));
    }

    private void crop(CropView c) {
        page.append("<h2>").append(text(c.name())).append("</h2>");
        if (e.figures().containsKey("plant/" + c.id() + "/rating")) {
            page.append("<p>Planting")
                    .append(text(c.system()
                            .map(x -> " (" + x.replace('-', ' ') + ")")
                            .orElse("")))
                    .append(" disturbs ")
                    .append(figure("plant/" + c.id() + "/disturbed"))
                    .append(" of the ground. Soil tillage intensity rating ")
                    .append(figure("plant/" + c.id() + "/rating"))
                    .append(".</p>");
        }
        String feed = "feed/" + c.id() + "/";
        if (e.figures().containsKey(feed + "leftToBuy")) {
            page.append("<table><tr><th>nitrogen</th><th class=\"n\">low to high</th><th class=\"n\"></th></tr>");
            row("Need", feed + "need");
            row("From the cover", feed + "coverCredit");
            row("Left to buy", feed + "leftToBuy");
            row("Product", feed + "product");
            row("Product, volume", feed + "productVolume");
            row("Product for the field", feed + "productForField");
            row("Cost", feed + "productCost");
            page.append("</table>");
        }
    }

    private void row(String label, String id) {
        FigureView f = e.figures().get(id);
        if (f != null) {
            String band = f.low().map(l -> l + " … " + f.high().orElse("")).orElse("");
            page.append("<tr><td>")
                    .append(text(label))
                    .append("</td><td class=\"n\">")
                    .append(text(band))
                    .append("</td><td class=\"n\">")
                    .append(figure(id))
                    .append("</td></tr>");
        }
    }

    private void number(String id) {
        page.append("<td class=\"n\">").append(figure(id)).append("</td>");
    }

    private void notes() {
        if (e.notes().isEmpty()) {
            return;
        }
        page.append("<h2>Notes</h2>");
        for (NoteView n : e.notes()) {
            page.append("<p class=\"note\"><b>")
                    .append(n.weight().id().toUpperCase(Locale.ROOT))
                    .append("</b> ")
                    .append(text(n.text()))
                    .append(n.answer()
                            .map(a -> " <i>Accepted: " + text(a.reason()) + "</i>")
                            .orElse(""))
                    .append(" <span class=\"s\">")
                    .append(text(n.source()))
                    .append("</span></p>");
        }
    }

    private void cautions() {
        page.append(
                "<h2>Cautions</h2><p class=\"s\">The label in force, local code, programme and insurance rules and licensed"
                        + " practice decide; this plan proposes no herbicide rate. Treated seed: gloves and mask, not for feed. Lock"
                        + " machines out before reaching in. Expected values are estimates: weigh a quadrat before relying on a mulch or"
                        + " a credit.</p>");
    }

    private void workings() {
        page.append("<h2 class=\"appendix\">Workings</h2>");
        FigureTexts texts = FigureTexts.of(evaluated);
        evaluated.figures().values().forEach(f -> {
            WorkingView w = WorkingView.of(f, evaluated, texts);
            page.append("<div class=\"w\"><b>")
                    .append(text(w.figure().label()))
                    .append("</b> <span class=\"f\">")
                    .append(text(w.figure().text() + " " + w.figure().unit()))
                    .append("</span><br/><span class=\"f s\">")
                    .append(text(w.resultText() + " " + w.unit() + " = " + w.expression()))
                    .append("; ")
                    .append(text(w.inputs().stream()
                            .map(i -> i.symbol() + " = " + i.text() + " " + i.unit()
                                    + i.also().map(a -> " = " + a).orElse("") + " (" + i.label() + ", "
                                    + i.origin().id() + ")")
                            .collect(Collectors.joining("; "))))
                    .append("</span><br/><span class=\"s i\">")
                    .append(text(w.source() + ". " + w.remark()))
                    .append("</span></div>");
        });
    }

    /** Some of the numbers put into a figure, in brackets: a catch target says nothing without width and distance. */
    private String inputsOf(String id, String... symbols) {
        return WorkingView.of(evaluated.figures().get(id), evaluated).inputs().stream()
                .filter(i -> List.of(symbols).contains(i.symbol()))
                .map(i -> text(i.label().toLowerCase(Locale.ROOT) + " " + i.text() + " " + i.unit()))
                .collect(Collectors.joining(", ", " (", ")"));
    }

    private String figure(String id) {
        FigureView f = e.figures().get(id);
        return f == null ? "–" : "<span class=\"f\">" + text((f.text() + " " + f.unit()).strip()) + "</span>";
    }

    /** Thin spaces are not in the printed fonts. */
    private static String text(String raw) {
        return HtmlUtils.htmlEscape(raw.replace('\u202f', ' '), "UTF-8");
    }
}
