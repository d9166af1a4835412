package app.etlo.core.plan.shown;

import app.etlo.core.knowledge.Group;
import app.etlo.core.mix.BloomClock;
import app.etlo.core.mix.GrowVerdict;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.rotation.WindowKind;
import app.etlo.core.termination.EndRule;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The steps of the work as they are read: each chapter owns its figures. What the plan does not say yet is absent. */
public final class ChapterViews {
    private ChapterViews() {}

    /** The field before anything is planned on it. */
    public record FieldView(FigureView area, FigureView water, List<LayerView> layers) {}

    /**
     * @param where its depths, in the farm's units
     */
    public record LayerView(String where, FigureView wiltingPoint, FigureView fieldCapacity, FigureView saturation) {}

    /**
     * A window with what it offers.
     *
     * @param afterCropId the crop harvested, or the crop it lies in
     * @param sowUntil last day its kind allows sowing
     */
    public record WindowView(
            String id,
            WindowKind kind,
            String words,
            String afterCropId,
            Optional<String> beforeCropId,
            LocalDate from,
            LocalDate to,
            LocalDate sowUntil,
            String usualMethod,
            FigureView days,
            Optional<FigureView> degreeDays,
            Optional<FigureView> warmDegreeDays,
            Optional<FigureView> firstFrost,
            Optional<FigureView> lastFrost,
            Optional<FigureView> water,
            Optional<FigureView> drillDays,
            Optional<FigureView> light) {}

    /**
     * A cover's mix.
     *
     * @param sum empty while no species has a rate
     * @param schools where it stands on what is disputed
     * @param delivers what it is forecast to deliver; empty without weather or season
     */
    public record MixChapterView(
            List<RateView> rates,
            List<BoxView> boxes,
            List<InoculantView> inoculants,
            Optional<SumView> sum,
            Optional<DeliveryView> delivers,
            List<SchoolView> schools) {}

    /**
     * One species of a mix.
     *
     * @param full rate for its purpose
     * @param bulk rate in the box, {@code plsRate} of pure live seed
     * @param fieldBulk over the whole area, where it goes into a part of it, as {@code fieldSeeds}
     * @param seed to have, with waste
     * @param mass dry tops forecast, and {@code standShare} of the mix's
     */
    public record RateView(
            String species,
            String name,
            Group group,
            boolean smallBox,
            FullRateView full,
            FigureView pls,
            FigureView germinates,
            FigureView plsRate,
            FigureView bulk,
            FigureView seeds,
            FigureView seedsNow,
            FigureView comesUp,
            FigureView fieldBulk,
            FigureView fieldSeeds,
            FigureView weightShare,
            FigureView seedShare,
            FigureView seed,
            Optional<FigureView> bags,
            Optional<FigureView> cost,
            Optional<FigureView> costPerArea,
            Optional<FigureView> mass,
            Optional<FigureView> standShare) {}

    /**
     * The full single-species rate of a species for what the cover is sown for.
     *
     * @param words its range, drilled, in the farm's unit
     * @param share that the mix takes of it, %
     */
    public record FullRateView(String words, long share, String source) {}

    /**
     * A question on which practitioners differ.
     *
     * @param mine where the mix stands, in words
     * @param chosen id of the farm's side
     */
    public record SchoolView(
            String id, String name, String mine, Optional<String> chosen, List<SideView> sides, String source) {}

    /**
     * @param band in words
     * @param holds the conditions that decide for it
     * @param has whether the mix is on this side
     */
    public record SideView(String id, String name, String band, String holds, boolean has) {}

    /** Over the whole sown area. */
    public record SumView(
            FigureView bulk,
            FigureView seeds,
            FigureView seed,
            Optional<FigureView> cost,
            Optional<FigureView> costPerArea) {}

    /**
     * @param aims what the whole delivers, by aim
     */
    public record DeliveryView(FigureView mass, Optional<FigureView> carbonToNitrogen, Map<String, FigureView> aims) {}

    /**
     * @param catchTest what it must weigh
     */
    public record BoxView(
            String id,
            String name,
            List<String> species,
            FigureView rate,
            FigureView catchTest,
            FigureView density,
            Optional<FigureView> fills) {}

    /**
     * Rhizobium that must be mixed in, by group.
     *
     * @param grown what the field grew of the group lately
     */
    public record InoculantView(
            String group, List<String> species, FigureView amount, Optional<FigureView> cost, Optional<String> grown) {}

    /** Latest useful sowing of one species: the last day from which 5, 8 and 9 years in 10 reach a useful stand. */
    public record LatestView(
            String species,
            String name,
            Optional<LocalDate> half,
            Optional<LocalDate> mostYears,
            Optional<LocalDate> nearlyAll,
            int years,
            Optional<String> figureId) {}

    /** A cover's sowing. */
    public record SowChapterView(
            Optional<FigureView> seedPlacedLimit,
            Optional<FigureView> dryPercent,
            Map<String, FigureView> coldPercent,
            Optional<FigureView> drillDays,
            Optional<FigureView> drillCapacity,
            Optional<FigureView> sownArea,
            Optional<VerdictView> seedbed) {}

    /** Whether to sow, to wait or to flush weeds first, with the days of the flushes. */
    public record VerdictView(String act, List<LocalDate> flushes, List<String> reasons) {}

    /** What grows, as simulated; covers and crops by id. */
    public record GrowView(
            Map<String, GrowStepView> steps,
            Map<String, GrownCoverView> covers,
            Map<String, GrownCropView> crops,
            GrownRotationView rotation) {}

    /** What stands of a cover when it ends. */
    public record GrownCoverView(
            FigureView mass,
            Optional<FigureView> carbonToNitrogen,
            Optional<FigureView> nitrogenPercent,
            Optional<FigureView> nitrogen,
            FigureView residueCover) {}

    /** What a crop finds at planting, and what it grows to. */
    public record GrownCropView(
            Optional<FigureView> water,
            Optional<FigureView> mineralN,
            Optional<FigureView> residueCover,
            Optional<FigureView> mass) {}

    public record GrownRotationView(
            Optional<FigureView> startNitrogen,
            Optional<FigureView> startResidue,
            Optional<FigureView> leached,
            Optional<FigureView> livingRootDays,
            Optional<FigureView> bareDays,
            Optional<FigureView> lowestCover) {}

    /**
     * A cover's end.
     *
     * @param biomass as simulated, unless it is typed or weighed, and what is in it
     * @param forecast what was simulated before it was typed or weighed
     * @param checks in the field, as weighed against the forecast
     */
    public record EndChapterView(
            Optional<FigureView> daysBeforePlanting,
            Optional<FigureView> biomass,
            Optional<FigureView> nitrogenPercent,
            Optional<FigureView> nitrogenInTops,
            Optional<StandForecastView> forecast,
            List<CheckView> checks,
            List<GapView> gaps,
            List<EndRule> rules,
            List<TankView> tanks,
            List<FallbackView> fallbacks) {}

    /** What must lie between two things, and what does. */
    public record GapView(
            String from,
            LocalDate fromOn,
            String to,
            LocalDate toOn,
            String wanted,
            long days,
            boolean holds,
            String why,
            boolean ofLabel) {}

    /** Tank arithmetic of a pass, from what was typed. */
    public record TankView(
            String passId,
            FigureView treated,
            Optional<FigureView> product,
            Optional<FigureView> active,
            Optional<FigureView> mix,
            Optional<FigureView> fullTanks,
            Optional<FigureView> lastTank,
            Optional<FigureView> inFull,
            Optional<FigureView> inLast) {}

    /**
     * What is done if the end fails.
     *
     * @param by the last day on which it can be mended; absent where it cannot be
     */
    public record FallbackView(
            String id,
            String when,
            LocalDate look,
            Optional<LocalDate> by,
            String then,
            Optional<String> method,
            Optional<String> cost,
            boolean planned) {}

    /** What a typed or weighed stand replaced. */
    public record StandForecastView(FigureView mass, FigureView nitrogenPercent) {}

    /**
     * A field check as weighed against the forecast of its day.
     *
     * @param said what it found and what it does, in words
     * @param factor on growth, where there is one
     */
    public record CheckView(String id, LocalDate on, String said, Optional<FigureView> factor) {}

    /**
     * The step Grow of a cover.
     *
     * @param clocks when its species flower and set seed
     * @param verdicts of the field checks, by check
     */
    public record GrowStepView(List<ClockView> clocks, Map<String, List<GrowVerdict>> verdicts) {}

    /** Days in words of the farm; empty where fewer than one year in ten comes so far before the end. */
    public record ClockView(
            String species,
            String name,
            Optional<BloomClock.Span> blooms,
            Optional<BloomClock.Span> seeds,
            int bloomYears,
            int seedYears,
            int years) {}

    /**
     * A crop's passes.
     *
     * @param ratings by pass
     */
    public record PlantChapterView(
            Map<String, FigureView> ratings,
            Optional<FigureView> rating,
            Optional<FigureView> disturbed,
            Optional<FigureView> stripShare,
            Optional<FigureView> residue) {}

    /** What the simulation feeds on a day where the plan does not say. */
    public record AssumedFeedingView(LocalDate on, FigureView nitrogen) {}

    /** A crop's nitrogen. */
    public record FeedChapterView(
            Optional<FigureView> need,
            Optional<FigureView> released,
            Optional<FigureView> coverCredit,
            Optional<FigureView> planned,
            List<AssumedFeedingView> assumed,
            Optional<FigureView> leftToBuy,
            Optional<FigureView> product,
            Optional<FigureView> productVolume,
            Optional<FigureView> productForField,
            Optional<FigureView> productCost) {}
}
