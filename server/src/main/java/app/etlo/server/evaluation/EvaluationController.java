package app.etlo.server.evaluation;

import app.etlo.core.plan.Evaluated;
import app.etlo.core.plan.Evaluation;
import app.etlo.core.plan.EvaluationWriter;
import app.etlo.core.plan.PlanDocument;
import app.etlo.core.plan.Refused;
import app.etlo.core.plan.WorkingView;
import app.etlo.core.working.Figure;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.documents.NotFound;
import app.etlo.server.limits.Limited;
import java.time.LocalDate;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Evaluates plans, saved or not. */
@RestController
class EvaluationController {
    private final Evaluations evaluations;

    EvaluationController(Evaluations evaluations) {
        this.evaluations = evaluations;
    }

    record EvaluationRequest(PlanDocument plan, LocalDate asOf) {
        EvaluationRequest {
            if (plan == null) {
                throw new Refused("/plan", "the plan to evaluate is missing");
            }
            if (asOf == null) {
                throw new Refused("/asOf", "the day the evaluation is for is missing");
            }
        }
    }

    record WorkingRequest(PlanDocument plan, LocalDate asOf, String figureId) {
        WorkingRequest {
            if (plan == null || asOf == null || figureId == null) {
                throw new Refused("", "a working needs plan, asOf and figureId");
            }
        }
    }

    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/evaluations")
    Evaluation evaluate(@RequestBody EvaluationRequest request) {
        return EvaluationWriter.write(evaluations.evaluate(request.plan(), request.asOf()));
    }

    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/workings")
    WorkingView working(@RequestBody WorkingRequest request) {
        Evaluated evaluated = evaluations.evaluate(request.plan(), request.asOf());
        Figure figure = evaluated.figures().get(request.figureId());
        if (figure == null) {
            throw new NotFound("figure");
        }
        return WorkingView.of(figure, evaluated);
    }
}
