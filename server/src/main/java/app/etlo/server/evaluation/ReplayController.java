package app.etlo.server.evaluation;

import app.etlo.core.plan.asked.ReplayChoice;
import app.etlo.core.plan.asked.ReplayViews.DayView;
import app.etlo.core.plan.asked.ReplayViews.EndView;
import app.etlo.core.plan.asked.ReplayViews.OtherDays;
import app.etlo.core.plan.asked.ReplayViews.YearsView;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.limits.Limited;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** A season of a plan gone through in the weather of a past year. Nothing of it is kept here; the plan stays as it is. */
@RestController
class ReplayController {
    /** One could ask and put off every day of the longest season. */
    private static final int MOST_CHOICES = 1000;

    private final Evaluations evaluations;

    ReplayController(Evaluations evaluations) {
        this.evaluations = evaluations;
    }

    record ReplayRequest(
            @NotNull PlanDocument plan,
            @NotNull LocalDate asOf,
            @NotBlank String coverId) {}

    /**
     * @param asOf today; the record ends before its year
     * @param day of the plan that is gone to
     */
    record ReplayDayRequest(
            @NotNull PlanDocument plan,
            @NotNull LocalDate asOf,
            @NotBlank String coverId,
            @NotNull Integer year,
            @NotNull LocalDate day,
            @NotNull @Size(max = MOST_CHOICES) List<ReplayChoice> choices) {}

    record ReplayEndRequest(
            @NotNull PlanDocument plan,
            @NotNull LocalDate asOf,
            @NotBlank String coverId,
            @NotNull Integer year,
            @NotNull @Size(max = MOST_CHOICES) List<ReplayChoice> choices) {}

    /**
     * @param kind sow or end
     * @param subject id of the cover or crop
     */
    record OtherDaysRequest(
            @NotNull PlanDocument plan,
            @NotNull LocalDate asOf,
            @NotBlank String coverId,
            @NotNull Integer year,
            @NotNull @Size(max = MOST_CHOICES) List<ReplayChoice> choices,
            @NotBlank String kind,
            @NotBlank String subject) {}

    /** The past years that a cover's season can be gone through in. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/replays/years")
    YearsView years(@Valid @RequestBody ReplayRequest r) {
        return evaluations.replayYears(r.plan(), r.asOf(), r.coverId());
    }

    /** A day of it, with what could be known then. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/replays/days")
    DayView day(@Valid @RequestBody ReplayDayRequest r) {
        return evaluations.replayDay(r.plan(), r.asOf(), r.coverId(), r.year(), r.day(), r.choices());
    }

    /** What other days for one thing would have come to, the dearest part: asked for one by one. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/replays/other-days")
    OtherDays otherDays(@Valid @RequestBody OtherDaysRequest r) {
        return evaluations.replayOtherDays(
                r.plan(), r.asOf(), r.coverId(), r.year(), r.choices(), r.kind(), r.subject());
    }

    /** What came of the choices, against the plan and what was expected. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/replays/ends")
    EndView end(@Valid @RequestBody ReplayEndRequest r) {
        return evaluations.replayEnd(r.plan(), r.asOf(), r.coverId(), r.year(), r.choices());
    }
}
