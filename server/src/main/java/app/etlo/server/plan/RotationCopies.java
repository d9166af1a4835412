package app.etlo.server.plan;

import app.etlo.core.plan.chapter.Rotations;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.Refused;
import app.etlo.server.farm.FarmStore;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes a rotation to other fields of the practice, all or none: into the plan of a field where nothing is planned yet, beside it
 * as a copy where something is. A resend makes nothing twice.
 */
@Service
@Transactional
public class RotationCopies {
    private static final int MOST_FIELDS = 100;

    private final PlanStore plans;
    private final FarmStore farms;

    RotationCopies(PlanStore plans, FarmStore farms) {
        this.plans = plans;
        this.farms = farms;
    }

    /**
     * Where a copy went.
     *
     * @param current whether it is now the field's own plan
     */
    public record Copied(String fieldId, String fieldName, String planId, boolean current) {}

    /**
     * @param requestId the editor's own
     * @throws Refused for too many fields, or the plan's own
     */
    public List<Copied> to(String planId, List<String> fieldIds, String requestId, String author) {
        PlanDocument plan = plans.at(planId).plan();
        if (fieldIds.isEmpty() || fieldIds.size() > MOST_FIELDS) {
            throw new Refused("/fieldIds", "1 to " + MOST_FIELDS + " fields");
        }
        String label = "rotation of " + farms.field(plan.fieldId()).name();
        List<Copied> made = new ArrayList<>();
        for (String fieldId : fieldIds.stream().distinct().sorted().toList()) {
            if (fieldId.equals(plan.fieldId())) {
                throw new Refused("/fieldIds", "the rotation is on this field already");
            }
            made.add(copy(plan, fieldId, label, requestId, author));
        }
        return made;
    }

    private Copied copy(PlanDocument plan, String fieldId, String label, String requestId, String author) {
        farms.lockField(fieldId);
        String name = farms.field(fieldId).name();
        // one request makes a plan on each of several fields: each has an id of its own, the same when it is sent again
        String once = UUID.nameUUIDFromBytes((requestId + " " + fieldId).getBytes(StandardCharsets.UTF_8))
                .toString();
        var own = plans.current(fieldId);
        String id = plans.madeBy(once).orElseGet(() -> {
            if (own.filter(Rotations::isEmpty).isPresent()) {
                String there = own.get().id();
                plans.replace(Rotations.forField(plan, there, fieldId), author, once);
                return there;
            }
            String made = "plan-" + once;
            plans.create(Rotations.forField(plan, made, fieldId), author, label, once);
            return made;
        });
        return new Copied(
                fieldId,
                name,
                id,
                plans.current(fieldId).map(p -> p.id().equals(id)).orElse(false));
    }
}
