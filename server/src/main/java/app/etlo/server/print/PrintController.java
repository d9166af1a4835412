package app.etlo.server.print;

import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.evaluation.Evaluations;
import app.etlo.server.limits.Limited;
import app.etlo.server.plan.PlanStore;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.time.LocalDate;
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
    static final String TEXT_NAME = "Etlo Text";
    static final String FIGURES_NAME = "Etlo Figures";

    private final PlanStore plans;
    private final Evaluations evaluations;
    private final Printing printing;

    PrintController(PlanStore plans, Evaluations evaluations, Printing printing) {
        this.printing = printing;
        this.plans = plans;
        this.evaluations = evaluations;
    }

    /**
     * @param sectionSvg the section as the screen drew it; the plan says so where it cannot be printed
     */
    record PrintRequest(@NotNull LocalDate asOf, Optional<String> sectionSvg) {}

    @Limited(Limited.Kind.IMPORT)
    @Access(Who.MEMBER)
    @PostMapping(value = "/api/plans/{planId}/pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> print(@PathVariable String planId, @Valid @RequestBody PrintRequest request)
            throws IOException {
        PlanStore.At saved = plans.at(planId);
        Evaluated evaluated = evaluations.evaluate(saved.plan(), request.asOf());
        Optional<Printing.Picture> section = printing.picture(request.sectionSvg());
        String html =
                PlanTemplate.html(PlanPage.of(evaluated, evaluations.dossier(saved.plan()), section, saved.revision()));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("etlo-plan.pdf")
                                .build()
                                .toString())
                .contentType(MediaType.APPLICATION_PDF)
                .body(PdfPrinter.pdf(html));
    }
}
