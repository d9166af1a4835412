package app.etlo.server.plan;

import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.Refused;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Adviser;
import app.etlo.server.farm.FarmStore;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The plans of a field, and saving them. */
@RestController
class PlanController {
    private static final int LONGEST_LABEL = 120;
    private static final String NAME = "a name of up to " + LONGEST_LABEL + " characters";

    private final PlanStore store;
    private final FarmStore farms;
    private final RotationCopies copies;

    PlanController(PlanStore store, FarmStore farms, RotationCopies copies) {
        this.copies = copies;
        this.store = store;
        this.farms = farms;
    }

    /** A plan to be kept beside the field's own. */
    record Copy(
            @NotBlank(message = NAME) @Size(max = LONGEST_LABEL, message = NAME)
            String label,

            @NotNull PlanDocument plan) {}

    @Access(Who.MEMBER)
    @GetMapping("/api/fields/{fieldId}/plan")
    PlanStore.Saved ofField(@PathVariable String fieldId, @AuthenticationPrincipal Adviser adviser) {
        return store.ofField(fieldId, adviser.email());
    }

    @Access(Who.MEMBER)
    @GetMapping("/api/fields/{fieldId}/plans")
    List<PlanStore.Listed> all(@PathVariable String fieldId) {
        return store.all(farms.field(fieldId).id());
    }

    @Access(Who.MEMBER)
    @PostMapping("/api/fields/{fieldId}/plans")
    @ResponseStatus(HttpStatus.CREATED)
    PlanStore.Saved copy(
            @PathVariable String fieldId,
            @RequestHeader(Headers.REQUEST_ID) String requestId,
            @Valid @RequestBody Copy copy,
            @AuthenticationPrincipal Adviser adviser) {
        if (!fieldId.equals(copy.plan().fieldId())) {
            throw new Refused("/plan/fieldId", "the address names another field");
        }
        return store.copy(copy.plan(), adviser.email(), copy.label().strip(), Headers.requestId(requestId));
    }

    @Access(Who.MEMBER)
    @GetMapping("/api/plans/{planId}")
    PlanStore.Saved get(@PathVariable String planId, @AuthenticationPrincipal Adviser adviser) {
        return store.get(planId, adviser.email());
    }

    @Access(Who.MEMBER)
    @PutMapping("/api/plans/{planId}")
    PlanStore.Saved save(
            @PathVariable String planId,
            @RequestHeader(HttpHeaders.IF_MATCH) String parent,
            @RequestHeader(Headers.REQUEST_ID) String requestId,
            @RequestBody PlanDocument plan,
            @AuthenticationPrincipal Adviser adviser) {
        return store.save(named(planId, plan), Headers.revision(parent), Headers.requestId(requestId), adviser.email());
    }

    /** Keeps both: what was changed since a revision goes upon what others saved since. */
    @Access(Who.MEMBER)
    @PostMapping("/api/plans/{planId}/merge")
    PlanStore.Saved merge(
            @PathVariable String planId,
            @RequestHeader(HttpHeaders.IF_MATCH) String head,
            @RequestHeader(Headers.REQUEST_ID) String requestId,
            @RequestParam int base,
            @RequestBody PlanDocument plan,
            @AuthenticationPrincipal Adviser adviser) {
        return store.merge(
                named(planId, plan), base, Headers.revision(head), Headers.requestId(requestId), adviser.email());
    }

    record Fields(@NotNull List<String> fieldIds) {}

    /** Takes the rotation to other fields. */
    @Access(Who.MEMBER)
    @PostMapping("/api/plans/{planId}/fields")
    List<RotationCopies.Copied> toFields(
            @PathVariable String planId,
            @RequestHeader(Headers.REQUEST_ID) String requestId,
            @Valid @RequestBody Fields to,
            @AuthenticationPrincipal Adviser adviser) {
        return copies.to(planId, to.fieldIds(), Headers.requestId(requestId), adviser.email());
    }

    @Access(Who.MEMBER)
    @PostMapping("/api/plans/{planId}/current")
    PlanStore.Saved makeCurrent(@PathVariable String planId, @AuthenticationPrincipal Adviser adviser) {
        return store.makeCurrent(planId, adviser.email());
    }

    @Access(Who.ADVISER)
    @DeleteMapping("/api/plans/{planId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String planId) {
        store.remove(planId);
    }

    private static PlanDocument named(String planId, PlanDocument plan) {
        if (!planId.equals(plan.id())) {
            throw new Refused("/id", "the address names another plan");
        }
        return plan;
    }
}
