package app.etlo.core.plan.document;

import app.etlo.core.plan.document.Operation.Pass;
import app.etlo.core.plan.document.Operation.Sow;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Finds things in a plan by what they belong to. */
public record PlanLookup(PlanDocument plan) {
    /** The first operation of a kind on a subject. */
    public <T extends Operation> Optional<T> first(Class<T> kind, String subject) {
        return all(kind).filter(o -> o.subject().equals(Optional.of(subject))).findFirst();
    }

    public <T extends Operation> Stream<T> all(Class<T> kind) {
        return plan.operations().stream().filter(kind::isInstance).map(kind::cast);
    }

    public Optional<Sow> sow(String subject) {
        return first(Sow.class, subject);
    }

    /** Any operation by its id. */
    Optional<Operation> operation(String id) {
        return plan.operations().stream().filter(o -> o.id().equals(id)).findFirst();
    }

    /** What a crop's entry says, by its id. */
    public Optional<PlanDocument.CropEntry> crop(String id) {
        return plan.crops().stream().filter(c -> c.id().equals(id)).findFirst();
    }

    /** The passes that a planting system brought in for a crop. */
    public List<Pass> systemPasses(String cropId) {
        return all(Pass.class)
                .filter(p -> p.system().isPresent() && p.subject().equals(Optional.of(cropId)))
                .toList();
    }
}
