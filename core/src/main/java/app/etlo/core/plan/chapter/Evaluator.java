package app.etlo.core.plan.chapter;

import app.etlo.core.ground.GroundVariation;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.ContextCheck;
import app.etlo.core.plan.document.PlanCost;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.plan.growth.GrowthMemory;
import app.etlo.core.plan.timeline.Climates;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.plan.timeline.SiteWeather;
import java.time.LocalDate;
import java.util.Optional;

/**
 * Turns a plan document and its context into an evaluation. What a plan does not say yet simply yields no figure; nothing
 * is guessed for it.
 */
public final class Evaluator {
    private final Knowledge knowledge;
    private final Climates climates;
    private final Optional<GrowthMemory> memory;

    public Evaluator(Knowledge knowledge) {
        this(knowledge, new Climates(knowledge));
    }

    /**
     * One that plays every plan from its first day.
     *
     * @param climates shared, so that a station's years are made once
     */
    public Evaluator(Knowledge knowledge, Climates climates) {
        this(knowledge, climates, Optional.empty());
    }

    /**
     * @param memory of earlier runs, so that a changed plan is played only from where it changed
     */
    public Evaluator(Knowledge knowledge, Climates climates, Optional<GrowthMemory> memory) {
        this.knowledge = knowledge;
        this.climates = climates;
        this.memory = memory;
    }

    /**
     * Evaluates a plan.
     *
     * @param plan as a {@link PlanReader} let it through
     * @throws Refused when it is more than {@link PlanCost} allows
     * @param context as {@link ContextCheck} let it through
     * @param asOf the day the evaluation is for; today is no hidden input
     */
    public Evaluated evaluate(PlanDocument plan, Context context, LocalDate asOf) {
        return evaluate(plan, context, asOf, site(context, asOf), GroundVariation.NONE, memory);
    }

    /** The same in other weather than the field's own. */
    public Evaluated evaluate(PlanDocument plan, Context context, LocalDate asOf, SiteWeather weather) {
        return evaluate(plan, context, asOf, Optional.of(weather), GroundVariation.NONE, memory);
    }

    /** The weather a field has. */
    public Optional<SiteWeather> site(Context context, LocalDate asOf) {
        return climates.of(context.field(), context.weather(), context.forecast(), asOf);
    }

    /** The same with an input of the simulation moved. */
    public Evaluated evaluate(PlanDocument plan, Context context, LocalDate asOf, GroundVariation variation) {
        return evaluate(plan, context, asOf, site(context, asOf), variation, Optional.empty());
    }

    private Evaluated evaluate(
            PlanDocument plan,
            Context context,
            LocalDate asOf,
            Optional<SiteWeather> site,
            GroundVariation variation,
            Optional<GrowthMemory> from) {
        PlanCost.require(plan);
        return Chapters.of(PlanInTime.of(plan, context, knowledge, asOf, site), variation, from);
    }
}
