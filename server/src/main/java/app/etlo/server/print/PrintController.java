package app.etlo.server.print;

import app.etlo.core.plan.Evaluated;
import app.etlo.core.plan.Refused;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.evaluation.Evaluations;
import app.etlo.server.limits.Limited;
import app.etlo.server.plan.PlanStore;
import com.openhtmltopdf.extend.FSSupplier;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FSFontUseCase;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The plan on paper. */
@RestController
class PrintController {
    private static final String SANS = "AlegreyaSans";
    private static final String FIGURES = "SofiaSansSemiCondensed";

    private static final String TEXT_NAME = "Etlo Text";
    private static final String FIGURES_NAME = "Etlo Figures";
    /** Width of the printed text block, px. */
    private static final int PAPER_PX = 688;

    private static final Pattern VIEW_BOX = Pattern.compile("viewBox=\"0 0 ([1-9]\\d{0,4}) ([1-9]\\d{0,4})\"");

    private final PlanStore plans;
    private final Evaluations evaluations;

    PrintController(PlanStore plans, Evaluations evaluations) {
        this.plans = plans;
        this.evaluations = evaluations;
    }

    /**
     * @param sectionSvg the section as the screen drew it; left out when it is no plain drawing
     */
    record PrintRequest(LocalDate asOf, Optional<String> sectionSvg) {
        PrintRequest {
            if (asOf == null) {
                throw new Refused("/asOf", "the day the plan is printed for is missing");
            }
        }
    }

    @Limited(Limited.Kind.IMPORT)
    @Access(Who.MEMBER)
    @PostMapping(value = "/api/plans/{planId}/pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> print(@PathVariable String planId, @RequestBody PrintRequest request) throws IOException {
        PlanStore.At saved = plans.at(planId);
        Evaluated evaluated = evaluations.evaluate(saved.plan(), request.asOf());
        Optional<String> section = request.sectionSvg().flatMap(SafeSvg::of).map(PrintController::toPaper);
        String html = PlanPage.html(evaluated, evaluations.dossier(saved.plan()), section, saved.revision());
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("etlo-plan.pdf")
                                .build()
                                .toString())
                .contentType(MediaType.APPLICATION_PDF)
                .body(render(html));
    }

    /** Scales the drawing to the width of the page, and puts the embedded fonts in place of the screen's. */
    private static String toPaper(String svg) {
        Matcher box = VIEW_BOX.matcher(svg);
        double shape = box.find() ? Double.parseDouble(box.group(2)) / Double.parseDouble(box.group(1)) : 0.3;
        return svg.replaceFirst("(<svg[^>]*?) width=\"[^\"]*\"", "$1 width=\"" + PAPER_PX + "\"")
                .replaceFirst("(<svg[^>]*?) height=\"[^\"]*\"", "$1 height=\"" + Math.round(PAPER_PX * shape) + "\"")
                .replace("'Sofia Sans Semi Condensed', sans-serif", FIGURES_NAME)
                .replace("'Alegreya Sans', sans-serif", TEXT_NAME);
    }

    static byte[] render(String html) throws IOException {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream();
                BatikSVGDrawer svg = new BatikSVGDrawer()) {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            font(builder, SANS, "500Medium", TEXT_NAME, FontStyle.NORMAL, 400, 500);
            font(builder, SANS, "700Bold", TEXT_NAME, FontStyle.NORMAL, 700);
            font(builder, SANS, "500Medium_Italic", TEXT_NAME, FontStyle.ITALIC, 400, 500);
            font(builder, FIGURES, "400Regular", FIGURES_NAME, FontStyle.NORMAL, 400);
            font(builder, FIGURES, "700Bold", FIGURES_NAME, FontStyle.NORMAL, 700);
            builder.useSVGDrawer(svg);
            builder.withHtmlContent(html, "");
            builder.toStream(out);
            builder.run();
            return out.toByteArray();
        }
    }

    /** Embeds a font for the page and for the drawing in it, under each weight it stands for. */
    private static void font(
            PdfRendererBuilder builder, String family, String cut, String name, FontStyle style, int... weights) {
        String path = "/print-fonts/" + cut + "/" + family + "_" + cut + ".ttf";
        FSSupplier<InputStream> open =
                () -> Objects.requireNonNull(PrintController.class.getResourceAsStream(path), path);
        for (int weight : weights) {
            builder.useFont(open, name, weight, style, true, EnumSet.of(FSFontUseCase.DOCUMENT, FSFontUseCase.SVG));
        }
    }
}
