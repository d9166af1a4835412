package app.etlo.core.plan;

import app.etlo.core.plan.PlanDocument.OperationEntry;
import app.etlo.core.plan.PlanDocument.ParamsEntry;
import java.util.Optional;

/** Finds things in a plan by what they belong to. */
record PlanLookup(PlanDocument plan) {
    Optional<OperationEntry> operation(String kind, String subject) {
        return plan.operations().stream()
                .filter(o -> o.kind().equals(kind) && o.subject().equals(Optional.of(subject)))
                .findFirst();
    }

    ParamsEntry params(String kind, String subject) {
        return operation(kind, subject).flatMap(OperationEntry::params).orElse(ParamsEntry.NONE);
    }

    /** What a crop's entry says, by its id. */
    Optional<PlanDocument.CropEntry> crop(String id) {
        return plan.crops().stream().filter(c -> c.id().equals(id)).findFirst();
    }

    /** The planting system of a crop; no-till when the plan names none. */
    String system(String cropId) {
        return params("sow", cropId).system().orElse("no-till");
    }
}
