package app.etlo.server.evaluation;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.PlanCost;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.plan.document.Refused;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Adviser;
import app.etlo.server.limits.Limited;
import app.etlo.server.plan.PlanStore;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The whole plan as a file, out and in. */
@RestController
class DossierController {
    private final PlanStore plans;
    private final Evaluations evaluations;
    private final DossierImport imports;
    private final PlanReader reader;
    private final Knowledge knowledge;

    DossierController(
            PlanStore plans, Evaluations evaluations, DossierImport imports, PlanReader reader, Knowledge knowledge) {
        this.plans = plans;
        this.evaluations = evaluations;
        this.imports = imports;
        this.reader = reader;
        this.knowledge = knowledge;
    }

    /**
     * Where an imported plan now is.
     *
     * @param current whether it is the field's own plan, not a copy beside it
     * @param kept what the practice has otherwise than the file, and keeps as it is
     */
    record Imported(String fieldId, String planId, boolean current, List<String> kept) {}

    @Access(Who.MEMBER)
    @GetMapping(value = "/api/plans/{planId}/dossier", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> export(@PathVariable String planId) {
        String text = evaluations.dossier(plans.at(planId).plan()).write();
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("etlo-plan.json")
                                .build()
                                .toString())
                .contentType(MediaType.APPLICATION_JSON)
                .body(text);
    }

    /**
     * Takes a plan in.
     *
     * @param existing what becomes of a plan that is here already and differs: ask, replace or copy
     */
    @Limited(Limited.Kind.IMPORT)
    @Access(Who.MEMBER)
    @PostMapping(value = "/api/dossiers", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    Imported take(
            @RequestBody byte[] file,
            @RequestParam Optional<String> existing,
            @AuthenticationPrincipal Adviser adviser) {
        Dossier dossier = Dossier.read(new String(file, java.nio.charset.StandardCharsets.UTF_8), reader, knowledge);
        PlanCost.require(dossier.plan());
        DossierImport.Taken taken = imports.take(dossier, read(existing), adviser.email());
        String plan = taken.planId();
        String field = plans.at(plan).plan().fieldId();
        boolean current = plans.current(field).map(PlanDocument::id).equals(Optional.of(plan));
        return new Imported(field, plan, current, taken.kept());
    }

    private static DossierImport.Existing read(Optional<String> existing) {
        return switch (existing.orElse("ask")) {
            case "ask" -> DossierImport.Existing.ASK;
            case "replace" -> DossierImport.Existing.REPLACE;
            case "copy" -> DossierImport.Existing.COPY;
            default -> throw new Refused("/existing", "ask, replace or copy");
        };
    }
}
