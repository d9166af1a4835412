package app.etlo.core.plan.timeline;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.PlantingSystem;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.Operation.Pass;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanLookup;
import java.util.List;
import java.util.Optional;

/** By which planting system a crop of a plan is put in. */
public record PlantingSystems(PlanDocument plan, Knowledge knowledge) {
    /** The system whose passes the crop has, else the one that has no pass but the planter; empty when there is no such one. */
    public Optional<String> of(String cropId) {
        PlanLookup lookup = new PlanLookup(plan);
        List<Pass> passes = lookup.systemPasses(cropId);
        if (!passes.isEmpty()) {
            return passes.get(0).system();
        }
        String planter = lookup.sow(cropId).flatMap(Operation.Sow::tool).orElse(Timeline.USUAL_PLANTER);
        return knowledge.plantingSystems().all().stream()
                .filter(s ->
                        s.steps().size() == 1 && s.steps().get(0).operation().equals(planter))
                .map(PlantingSystem::id)
                .findFirst();
    }
}
