package app.etlo.server.evaluation;

import app.etlo.core.plan.asked.GroundDays;
import app.etlo.core.plan.asked.MixProposals;
import app.etlo.core.plan.asked.ReplayChoice;
import app.etlo.core.plan.asked.ReplayViews.DayView;
import app.etlo.core.plan.asked.ReplayViews.EndView;
import app.etlo.core.plan.asked.ReplayViews.OtherDays;
import app.etlo.core.plan.asked.ReplayViews.YearsView;
import app.etlo.core.plan.asked.Replays;
import app.etlo.core.plan.asked.Sensitivities;
import app.etlo.core.plan.asked.Sensitivities.SensitivityView;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.shown.ClimateView;
import app.etlo.core.plan.timeline.Climates;
import app.etlo.server.documents.NotFound;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.stereotype.Service;

/**
 * Brings a plan and the context stored for its field to the core: first everything is read, then the connection is given back,
 * then it is computed when its turn has come.
 */
@Service
public class Evaluations {
    private final EvaluationContexts contexts;
    private final EvaluationSlots slots;
    private final Evaluator evaluator;
    private final Evaluator listEvaluator;
    private final Climates climates;
    private final Replays replays;

    Evaluations(
            EvaluationContexts contexts,
            EvaluationSlots slots,
            Evaluator evaluator,
            @Qualifier("listEvaluator") Evaluator listEvaluator,
            Climates climates) {
        this.contexts = contexts;
        this.slots = slots;
        this.climates = climates;
        this.evaluator = evaluator;
        this.replays = new Replays(evaluator);
        this.listEvaluator = listEvaluator;
    }

    /** A plan as it is and with its context, computed from in its turn. */
    private <T> T with(PlanDocument plan, Function<Context, T> compute) {
        Context context = contexts.of(plan);
        return slots.run(() -> compute.apply(context));
    }

    public Evaluated evaluate(PlanDocument plan, LocalDate asOf) {
        return with(plan, c -> evaluator.evaluate(plan, c, asOf));
    }

    /** Evaluates a plan and makes something of it, in one turn. */
    <T> T evaluated(PlanDocument plan, LocalDate asOf, Function<Evaluated, T> then) {
        return with(plan, c -> then.apply(evaluator.evaluate(plan, c, asOf)));
    }

    /** What is computed from several plans of the same context, such as one plan with other mixes, in one turn. */
    <T> T several(PlanDocument plan, LocalDate asOf, Function<Function<PlanDocument, Evaluated>, T> compute) {
        return with(plan, c -> compute.apply(p -> evaluator.evaluate(p, p == plan ? c : contexts.of(p), asOf)));
    }

    /** For a list of fields, in turn with what people ask for. */
    Evaluated forList(PlanDocument plan, LocalDate asOf) {
        return with(plan, c -> listEvaluator.evaluate(plan, c, asOf));
    }

    /** For a list of fields, at once and only where nobody waits; the caller has its turn already. */
    Evaluated forListNow(PlanDocument plan, LocalDate asOf) {
        return listEvaluator.evaluate(plan, contexts.of(plan), asOf);
    }

    /** What moves a simulated figure most; empty where the plan has no such figure. */
    public Optional<SensitivityView> sensitivity(PlanDocument plan, LocalDate asOf, String figureId) {
        return with(plan, c -> new Sensitivities(evaluator, plan, c, asOf).of(figureId));
    }

    YearsView replayYears(PlanDocument plan, LocalDate asOf, String coverId) {
        return with(plan, c -> replays.years(plan, c, asOf, coverId));
    }

    DayView replayDay(
            PlanDocument plan, LocalDate asOf, String coverId, int year, LocalDate day, List<ReplayChoice> choices) {
        return with(plan, c -> replays.day(new Replays.Season(plan, c, asOf, coverId, year), day, choices));
    }

    EndView replayEnd(PlanDocument plan, LocalDate asOf, String coverId, int year, List<ReplayChoice> choices) {
        return with(plan, c -> replays.end(new Replays.Season(plan, c, asOf, coverId, year), choices));
    }

    OtherDays replayOtherDays(
            PlanDocument plan,
            LocalDate asOf,
            String coverId,
            int year,
            List<ReplayChoice> choices,
            String kind,
            String subject) {
        return with(
                plan, c -> replays.otherDays(new Replays.Season(plan, c, asOf, coverId, year), choices, kind, subject));
    }

    /** A stand of a plan day by day; empty when it is not simulated. */
    Optional<GroundDays.DaysView> days(PlanDocument plan, LocalDate asOf, String standId) {
        return evaluated(plan, asOf, e -> GroundDays.of(e, standId));
    }

    public Dossier dossier(PlanDocument plan) {
        return Dossier.of(plan, contexts.of(plan));
    }

    /** Proposals for a cover, with the seed in store that no plan has taken yet. */
    public MixProposals proposals(PlanDocument plan, LocalDate asOf, String coverId) {
        EvaluationContexts.Store store = contexts.store(plan);
        return with(
                plan,
                c -> new MixProposals(
                        evaluator.evaluate(plan, c, asOf),
                        coverId,
                        store.lots(),
                        store.freeKg(),
                        p -> evaluator.evaluate(p, c, asOf)));
    }

    /** Something of a plan worked out, with the seed in store that no plan has taken yet. */
    <T> T withStore(PlanDocument plan, LocalDate asOf, BiFunction<Evaluated, EvaluationContexts.Store, T> work) {
        EvaluationContexts.Store store = contexts.store(plan);
        return evaluated(plan, asOf, e -> work.apply(e, store));
    }

    /** The same of several plans of one context. */
    <T> T severalWithStore(
            PlanDocument plan,
            LocalDate asOf,
            BiFunction<Function<PlanDocument, Evaluated>, EvaluationContexts.Store, T> work) {
        EvaluationContexts.Store store = contexts.store(plan);
        return several(plan, asOf, evaluate -> work.apply(evaluate, store));
    }

    /** Computes something that has read all it needs, when its turn has come. */
    <T> T inTurn(Supplier<T> work) {
        return slots.run(work);
    }

    /** The weather a field is evaluated with. */
    public ClimateView climate(String fieldId, LocalDate asOf) {
        EvaluationContexts.Site site = contexts.site(fieldId);
        return slots.run(() -> climates.of(site.field(), site.series(), site.forecast(), asOf)
                .map(s -> ClimateView.of(s, site.field(), asOf, site.farm().units()))
                .orElseThrow(() -> new NotFound("weather: say where the field lies, or choose a station")));
    }
}
