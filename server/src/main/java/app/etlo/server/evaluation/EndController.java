package app.etlo.server.evaluation;

import app.etlo.core.plan.asked.EndDates;
import app.etlo.core.plan.asked.EndSchools;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.limits.Limited;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** When and how a cover ends: what each day and each way comes to. */
@RestController
class EndController {
    private static final String XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    private final Evaluations evaluations;

    EndController(Evaluations evaluations) {
        this.evaluations = evaluations;
    }

    /**
     * @param coarse whether a first answer is enough: what lives, without what the ground comes to
     */
    record DatesRequest(
            @NotNull PlanDocument plan,
            @NotNull LocalDate asOf,
            @NotBlank String coverId,
            boolean coarse) {}

    /** What ending a cover on each day gains and costs, or why there is nothing to compare. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/covers/end-dates")
    EndDates.DatesAnswer dates(@Valid @RequestBody DatesRequest r) {
        return evaluations.evaluated(r.plan(), r.asOf(), e -> EndDates.of(e, r.coverId(), r.coarse()));
    }

    record SchoolsRequest(
            @NotNull PlanDocument plan,
            @NotNull LocalDate asOf,
            @NotBlank String coverId) {}

    /** The schools of ending a cover, and its plan B, side by side. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/covers/end-schools")
    EndSchools.SchoolsView schools(@Valid @RequestBody SchoolsRequest r) {
        return evaluations.several(
                r.plan(), r.asOf(), evaluate -> EndSchools.of(r.plan(), r.coverId(), evaluate::apply));
    }

    /** The same as a workbook. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping(value = "/api/covers/end-dates/workbook", produces = XLSX)
    ResponseEntity<byte[]> workbook(@Valid @RequestBody DatesRequest r) {
        EndDates.DatesView dates = evaluations.evaluated(
                r.plan(), r.asOf(), e -> EndDates.of(e, r.coverId(), false).require());
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("days-of-the-end.xlsx")
                                .build()
                                .toString())
                .body(EndWorkbook.of(dates));
    }
}
