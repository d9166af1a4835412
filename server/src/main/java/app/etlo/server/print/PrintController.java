package app.etlo.server.print;

import app.etlo.core.plan.Evaluated;
import app.etlo.core.plan.Refused;
import app.etlo.server.evaluation.Evaluations;
import app.etlo.server.plan.PlanStore;
import com.openhtmltopdf.extend.FSSupplier;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;
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

    @PostMapping(value = "/api/plans/{planId}/pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> print(@PathVariable String planId, @RequestBody PrintRequest request) throws IOException {
        PlanStore.Saved saved = plans.get(planId);
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

    /** Scales the drawing to the width of the page; its viewBox keeps the shape. */
    private static String toPaper(String svg) {
        return svg.replaceFirst("(<svg[^>]*?) width=\"[^\"]*\"", "$1 width=\"680\"")
                .replaceFirst("(<svg[^>]*?) height=\"[^\"]*\"", "$1 height=\"174\"")
                .replace("'Sofia Sans Semi Condensed'", "Etlo Figures")
                .replace("'Alegreya Sans'", "Etlo Text");
    }

    static byte[] render(String html) throws IOException {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream();
                BatikSVGDrawer svg = new BatikSVGDrawer()) {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            builder.useFont(font("500Medium", SANS + "_500Medium"), "Etlo Text", 400, FontStyle.NORMAL, true);
            builder.useFont(font("700Bold", SANS + "_700Bold"), "Etlo Text", 700, FontStyle.NORMAL, true);
            builder.useFont(
                    font("500Medium_Italic", SANS + "_500Medium_Italic"), "Etlo Text", 400, FontStyle.ITALIC, true);
            builder.useFont(font("400Regular", FIGURES + "_400Regular"), "Etlo Figures", 400, FontStyle.NORMAL, true);
            builder.useFont(font("700Bold", FIGURES + "_700Bold"), "Etlo Figures", 700, FontStyle.NORMAL, true);
            builder.useSVGDrawer(svg);
            builder.withHtmlContent(html, "");
            builder.toStream(out);
            builder.run();
            return out.toByteArray();
        }
    }

    private static FSSupplier<InputStream> font(String folder, String name) {
        String path = "/print-fonts/" + folder + "/" + name + ".ttf";
        return () -> Objects.requireNonNull(PrintController.class.getResourceAsStream(path), path);
    }
}
