package app.etlo.server.evaluation;

import app.etlo.core.plan.asked.AimsReached;
import app.etlo.core.plan.asked.Candidates;
import app.etlo.core.plan.asked.GroundDays;
import app.etlo.core.plan.asked.LatestSowings;
import app.etlo.core.plan.asked.Sensitivities;
import app.etlo.core.plan.asked.Widening;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Rotations;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.shown.ChapterViews;
import app.etlo.core.plan.shown.ClimateView;
import app.etlo.core.plan.shown.Evaluation;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.plan.shown.Part;
import app.etlo.core.plan.shown.WorkingView;
import app.etlo.core.working.Figure;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.documents.NotFound;
import app.etlo.server.limits.Limited;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Evaluates plans, saved or not. */
@RestController
class EvaluationController {
    private final Evaluations evaluations;

    EvaluationController(Evaluations evaluations) {
        this.evaluations = evaluations;
    }

    /**
     * @param parts of the answer that are wanted; all of them where none is named
     */
    record EvaluationRequest(
            @NotNull PlanDocument plan, @NotNull LocalDate asOf, Optional<Set<Part>> parts) {}

    record PlanRequest(@NotNull PlanDocument plan, @NotNull LocalDate asOf) {}

    record WorkingRequest(
            @NotNull PlanDocument plan,
            @NotNull LocalDate asOf,
            @NotBlank String figureId) {}

    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/evaluations")
    Evaluation evaluate(@Valid @RequestBody EvaluationRequest request) {
        Set<Part> parts = request.parts().orElseGet(() -> EnumSet.allOf(Part.class));
        return evaluations.evaluated(request.plan(), request.asOf(), e -> EvaluationWriter.write(e, parts));
    }

    record WindowRequest(
            @NotNull PlanDocument plan,
            @NotNull LocalDate asOf,
            @NotBlank String windowId) {}

    /** What would widen a window, best first, each with the plan as it would be. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/windows/proposals")
    Widening.Proposals proposals(@Valid @RequestBody WindowRequest request) {
        return evaluations.evaluated(request.plan(), request.asOf(), e -> Widening.of(e, request.windowId()));
    }

    /** The latest useful sowing of every species in a window. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/windows/species")
    List<ChapterViews.LatestView> species(@Valid @RequestBody WindowRequest request) {
        return evaluations.evaluated(request.plan(), request.asOf(), e -> LatestSowings.of(e, request.windowId()));
    }

    /** The rotation once more behind itself. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/rotations/repeated")
    PlanDocument repeated(@Valid @RequestBody PlanRequest request) {
        return Rotations.repeated(evaluations.evaluate(request.plan(), request.asOf()));
    }

    /** The weather of a field: months, frosts, days to work on its soil. */
    @Access(Who.MEMBER)
    @GetMapping("/api/fields/{fieldId}/climate")
    ClimateView climate(@PathVariable String fieldId, @RequestParam LocalDate asOf) {
        return evaluations.climate(fieldId, asOf);
    }

    record DaysRequest(
            @NotNull PlanDocument plan,
            @NotNull LocalDate asOf,
            @NotBlank String standId) {}

    /** A stand day by day, as it is simulated. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/ground/days")
    GroundDays.DaysView days(@Valid @RequestBody DaysRequest request) {
        return evaluations
                .days(request.plan(), request.asOf(), request.standId())
                .orElseThrow(() -> new NotFound("simulated stand"));
    }

    /** Which inputs move a simulated figure most. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/sensitivities")
    Sensitivities.SensitivityView sensitivity(@Valid @RequestBody WorkingRequest request) {
        return evaluations
                .sensitivity(request.plan(), request.asOf(), request.figureId())
                .orElseThrow(() -> new NotFound("figure"));
    }

    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/workings")
    WorkingView working(@Valid @RequestBody WorkingRequest request) {
        return evaluations.evaluated(request.plan(), request.asOf(), e -> working(e, request.figureId()));
    }

    private static WorkingView working(Evaluated evaluated, String figureId) {
        Figure figure = Optional.ofNullable(evaluated.figures().get(figureId))
                .or(() -> Candidates.figure(evaluated, figureId))
                .or(() -> AimsReached.figure(evaluated, figureId))
                .or(() -> LatestSowings.figure(evaluated, figureId))
                .orElseThrow(() -> new NotFound("figure"));
        return WorkingView.of(figure, evaluated);
    }
}
