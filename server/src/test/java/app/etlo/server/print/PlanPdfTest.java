package app.etlo.server.print;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.plan.shown.EvaluationWriter;
import java.awt.image.BufferedImage;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** The printed plan holds what the screen holds, and every working. */
class PlanPdfTest {
    private final Dossier dossier = sample();
    private final Evaluated evaluated = new Evaluator(KnowledgeLoader.shipped())
            .evaluate(dossier.plan(), dossier.context(), LocalDate.of(2026, 6, 1));

    private static Dossier sample() {
        Knowledge knowledge = KnowledgeLoader.shipped();
        try (InputStream in = Objects.requireNonNull(PlanPdfTest.class.getResourceAsStream("/upper-bank.json"))) {
            String text =
                    new String(in.readAllBytes(), StandardCharsets.UTF_8).replace("Upper Bank", "Upper <Bank> & Mead");
            return Dossier.read(text, new PlanReader(knowledge), knowledge);
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private String text(Optional<Printing.Picture> section) throws Exception {
        byte[] pdf = PdfPrinter.pdf(PlanTemplate.html(PlanPage.of(evaluated, dossier, section, 7)));
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isGreaterThan(1);
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    @Test
    void every_figure_of_the_evaluation_is_in_the_appendix_with_its_source() throws Exception {
        String text = text(Optional.empty());
        assertThat(text).contains("Upper <Bank> & Mead").contains("revision 7");
        evaluated.figures().values().stream()
                .map(f -> EvaluationWriter.figure(f, evaluated))
                .forEach(f -> assertThat(text)
                        .as(f.id())
                        .contains(f.label().replaceAll("\\s+", " "))
                        .contains(f.text()));
        assertThat(text).contains("Vigil & Kissel 1991").doesNotContain("(from memory)");
    }

    /** Not only the appendix: each number in the tables of the paper is one that the screen shows, as it shows it. */
    @Test
    void the_tables_show_the_screens_own_numbers() {
        Set<String> screen = evaluated.figures().values().stream()
                .map(f -> EvaluationWriter.figure(f, evaluated))
                .map(f -> plain((f.text() + " " + f.unit()).strip()))
                .collect(Collectors.toSet());
        PlanPage page = PlanPage.of(evaluated, dossier, Optional.empty(), 7);
        List<String> paper = new ArrayList<>(List.of(page.area()));
        for (PlanPage.CoverPart c : page.covers()) {
            c.rates().forEach(r -> paper.addAll(r.numbers()));
            paper.addAll(c.sums());
            c.boxes().forEach(b -> paper.addAll(List.of(b.rate(), b.weighs())));
            paper.addAll(List.of(c.daysBefore(), c.biomass(), c.nitrogen()));
        }
        for (PlanPage.CropPart c : page.crops()) {
            paper.addAll(List.of(c.disturbed(), c.rating()));
            c.nitrogen().forEach(n -> paper.add(n.value()));
        }
        paper.removeIf(n -> n.isEmpty() || n.equals("–"));
        assertThat(paper)
                .hasSizeGreaterThan(25)
                .allSatisfy(n -> assertThat(screen).contains(n));
    }

    private static String plain(String text) {
        return text.replace('\u202f', ' ');
    }

    @Test
    void cautions_and_the_answered_note_are_printed() throws Exception {
        String text = text(Optional.empty());
        assertThat(text).contains("proposes no herbicide rate").contains("Lock machines out");
    }

    @Test
    void a_drawing_is_printed() throws Exception {
        Printing.Picture drawn = new Printing(Duration.ofMinutes(1))
                .picture("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 400 100\">"
                        + "<rect x=\"0\" y=\"20\" width=\"400\" height=\"60\" fill=\"#c22f06\"/></svg>");
        assertThat(drawn.refused()).isEmpty();
        assertThat(redPixels(Optional.empty())).isZero();
        assertThat(redPixels(Optional.of(drawn))).isGreaterThan(10_000);
    }

    @Test
    void a_drawing_that_cannot_be_printed_is_said_so_and_the_plan_is_whole() throws Exception {
        Printing.Picture none = new Printing(Duration.ofMinutes(1)).picture("<svg viewBox=\"0 0 1 99999\"/>");
        assertThat(text(Optional.of(none)))
                .contains("The picture of the section is left out")
                .contains("What to do by date");
    }

    /** Pixels of the signal colour on the first page, at 72 dots an inch. */
    private long redPixels(Optional<Printing.Picture> section) throws Exception {
        byte[] pdf = PdfPrinter.pdf(PlanTemplate.html(PlanPage.of(evaluated, dossier, section, 7)));
        try (PDDocument document = Loader.loadPDF(pdf)) {
            BufferedImage page = new PDFRenderer(document).renderImage(0);
            int[] rgb = page.getRGB(0, 0, page.getWidth(), page.getHeight(), null, 0, page.getWidth());
            return java.util.Arrays.stream(rgb)
                    .filter(c -> (c >> 16 & 255) > 150 && (c >> 8 & 255) < 90 && (c & 255) < 60)
                    .count();
        }
    }
}
