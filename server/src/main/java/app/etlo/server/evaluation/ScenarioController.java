package app.etlo.server.evaluation;

import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.shown.ComparedPlans;
import app.etlo.core.plan.shown.ComparedPlans.ComparedFigure;
import app.etlo.core.plan.shown.Evaluation;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.documents.NotFound;
import app.etlo.server.limits.Limited;
import app.etlo.server.plan.PlanStore;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The plans of a field next to each other. */
@RestController
class ScenarioController {
    private static final int MOST = 4;

    private final PlanStore plans;
    private final Evaluations evaluations;

    ScenarioController(PlanStore plans, Evaluations evaluations) {
        this.plans = plans;
        this.evaluations = evaluations;
    }

    /**
     * @param label of a copy; empty for the field's own plan
     */
    record ComparedPlan(String planId, String label, boolean current, Evaluation evaluation) {}

    record ComparedView(List<ComparedPlan> plans, List<ComparedFigure> figures) {}

    /** Evaluates several plans of a field and sets their figures against those of the first. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @GetMapping("/api/fields/{fieldId}/compared")
    ComparedView compared(
            @PathVariable String fieldId, @RequestParam("plan") List<String> planIds, @RequestParam LocalDate asOf) {
        if (planIds.isEmpty() || planIds.size() > MOST) {
            throw new Refused("/plan", "from 1 to " + MOST + " plans can be compared");
        }
        List<PlanStore.Listed> listed = plans.all(fieldId);
        List<ComparedPlan> shown = new ArrayList<>();
        List<Evaluated> evaluated = new ArrayList<>();
        for (String id : planIds) {
            PlanStore.Listed plan =
                    listed.stream().filter(p -> p.id().equals(id)).findFirst().orElseThrow(() -> new NotFound("plan"));
            Evaluated e = evaluations.evaluate(plans.at(id).plan(), asOf);
            evaluated.add(e);
            shown.add(new ComparedPlan(id, plan.label(), plan.current(), EvaluationWriter.write(e)));
        }
        return new ComparedView(shown, ComparedPlans.of(evaluated));
    }
}
