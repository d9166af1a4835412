package app.etlo.server.evaluation;

import app.etlo.core.plan.ClimateView;
import app.etlo.core.plan.Climates;
import app.etlo.core.plan.Context;
import app.etlo.core.plan.Context.LotEntry;
import app.etlo.core.plan.Dossier;
import app.etlo.core.plan.Evaluated;
import app.etlo.core.plan.Evaluator;
import app.etlo.core.plan.FieldEntry;
import app.etlo.core.plan.GroundDays;
import app.etlo.core.plan.MixProposals;
import app.etlo.core.plan.PlanDocument;
import app.etlo.core.plan.Sensitivities;
import app.etlo.core.plan.Sensitivities.SensitivityView;
import app.etlo.core.replay.ReplayChoice;
import app.etlo.core.replay.ReplayViews.DayView;
import app.etlo.core.replay.ReplayViews.EndView;
import app.etlo.core.replay.ReplayViews.OtherDays;
import app.etlo.core.replay.ReplayViews.YearsView;
import app.etlo.core.replay.Replays;
import app.etlo.server.documents.NotFound;
import app.etlo.server.farm.FarmStore;
import app.etlo.server.knowledge.Corrections;
import app.etlo.server.outside.Outside;
import app.etlo.server.seed.Reservations;
import app.etlo.server.seed.SeedStore;
import app.etlo.server.weather.WeatherStore;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Brings a plan and the context stored for its field to the core. */
@Service
@Transactional(readOnly = true)
public class Evaluations {
    private final FarmStore farms;
    private final SeedStore seed;
    private final Evaluator evaluator;
    private final Evaluator listEvaluator;
    private final WeatherStore weather;
    private final Climates climates;
    private final Outside outside;
    private final Corrections corrections;
    private final Reservations reservations;
    private final Replays replays;

    Evaluations(
            FarmStore farms,
            SeedStore seed,
            Evaluator evaluator,
            @Qualifier("listEvaluator") Evaluator listEvaluator,
            WeatherStore weather,
            Climates climates,
            Outside outside,
            Corrections corrections,
            Reservations reservations) {
        this.reservations = reservations;
        this.corrections = corrections;
        this.outside = outside;
        this.climates = climates;
        this.weather = weather;
        this.farms = farms;
        this.seed = seed;
        this.evaluator = evaluator;
        this.replays = new Replays(evaluator);
        this.listEvaluator = listEvaluator;
    }

    public Evaluated evaluate(PlanDocument plan, LocalDate asOf) {
        return evaluator.evaluate(plan, context(plan), asOf);
    }

    /** For a list of fields, one after another. */
    Evaluated forList(PlanDocument plan, LocalDate asOf) {
        return listEvaluator.evaluate(plan, context(plan), asOf);
    }

    /** What moves a simulated figure most; empty where the plan has no such figure. */
    public Optional<SensitivityView> sensitivity(PlanDocument plan, LocalDate asOf, String figureId) {
        return Sensitivities.of(evaluator, plan, context(plan), asOf, figureId);
    }

    YearsView replayYears(PlanDocument plan, LocalDate asOf, String coverId) {
        return replays.years(plan, context(plan), asOf, coverId);
    }

    DayView replayDay(
            PlanDocument plan, LocalDate asOf, String coverId, int year, LocalDate day, List<ReplayChoice> choices) {
        return replays.day(new Replays.Season(plan, context(plan), asOf, coverId, year), day, choices);
    }

    EndView replayEnd(PlanDocument plan, LocalDate asOf, String coverId, int year, List<ReplayChoice> choices) {
        return replays.end(new Replays.Season(plan, context(plan), asOf, coverId, year), choices);
    }

    OtherDays replayOtherDays(
            PlanDocument plan,
            LocalDate asOf,
            String coverId,
            int year,
            List<ReplayChoice> choices,
            String kind,
            String subject) {
        return replays.otherDays(new Replays.Season(plan, context(plan), asOf, coverId, year), choices, kind, subject);
    }

    /** A stand of a plan day by day; empty when it is not simulated. */
    Optional<GroundDays.DaysView> days(PlanDocument plan, LocalDate asOf, String standId) {
        return GroundDays.of(evaluate(plan, asOf), standId);
    }

    public Dossier dossier(PlanDocument plan) {
        return Dossier.of(plan, context(plan));
    }

    /** Proposals for a cover, with the seed in store that no plan has taken yet. */
    public MixProposals proposals(PlanDocument plan, LocalDate asOf, String coverId) {
        return new MixProposals(evaluate(plan, asOf), coverId, seed.all(), reservations.freeKg(plan.id()));
    }

    /** The weather a field is reckoned with. */
    public ClimateView climate(String fieldId, LocalDate asOf) {
        FieldEntry field = farms.field(fieldId);
        return climates.of(field, field.weather().flatMap(weather::find), outside.forecast(field), asOf)
                .map(s -> ClimateView.of(
                        s, field, asOf, farms.farm(field.farmId()).units()))
                .orElseThrow(() -> new NotFound("weather: say where the field lies, or choose a station"));
    }

    private Context context(PlanDocument plan) {
        FieldEntry field = farms.field(plan.fieldId());
        Set<String> named = plan.covers().stream()
                .flatMap(c -> c.mix().stream())
                .flatMap(m -> m.components().stream())
                .flatMap(c -> c.lotId().stream())
                .collect(Collectors.toSet());
        List<LotEntry> lots = named.isEmpty()
                ? List.of()
                : seed.all().stream().filter(l -> named.contains(l.id())).toList();
        return new Context(
                farms.farm(field.farmId()),
                field,
                lots,
                field.weather().flatMap(weather::find),
                outside.forecast(field),
                corrections.all());
    }
}
