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
     * @param grazings before it ends
     * @param stockCautions of its species, for any stock
     * @param uses of it on the day it ends, side by side
     * @param protein of all that stands on that day
     * @param quality of it as feed on that day, as sentences
     * @param livingMulch where it lives on under the crop after it
     */
    public record GrowStepView(
            List<ClockView> clocks,
            Map<String, List<GrowVerdict>> verdicts,
            List<GrazingView> grazings,
            List<StockCautionView> stockCautions,
            List<CoverUseView> uses,
            Optional<FigureView> protein,
            List<String> quality,
            Optional<LivingMulchView> livingMulch) {}

    /**
     * A cover that lives on under the crop.
     *
     * @param suppressBy when it begins to press the crop
     * @param water less that the crop finds at planting than without it, in words
     */
    public record LivingMulchView(
            LocalDate planted,
            LocalDate weedFreeUntil,
            int aliveYears,
            int years,
            Optional<LocalDate> suppressBy,
            Optional<String> water,
            List<LivingMulchDay> days) {}

    /**
     * A day under the crop; heights and masses in words of the farm.
     *
     * @param lightLow 10, 50 and 90 % of the years: the mulch's part of the light that both took since the row above, %
     * @param passes of its end since the row above
     */
    public record LivingMulchDay(
            LocalDate on,
            String mulchHeight,
            String cropHeight,
            int lightLow,
            int light,
            int lightHigh,
            String mulch,
            String nitrogen,
            List<String> passes) {}

    /**
     * A way to use a cover on the day it ends.
     *
     * @param dryDays on end that it wants; 0 where weather does not decide
     * @param dryYearsOfTen in which they come in time
     * @param mulch whether what stays holds weeds down until the crop closes
     */
    public record CoverUseView(
            String id,
            String name,
            FigureView fed,
            FigureView left,
            FigureView nitrogenGone,
            int dryDays,
            Optional<Integer> dryYearsOfTen,
            boolean mulch) {}

    /**
     * How a cover can harm stock.
     *
     * @param animals as classes of stock name them
     * @param species that carry it, by name
     */
    public record StockCautionView(String id, String name, String text, List<String> animals, List<String> species) {}

    /**
     * A grazing: what it takes, feeds and leaves.
     *
     * @param figures in the order in which they are read
     */
    public record GrazingView(String operationId, LocalDate on, List<FigureView> figures, List<String> says) {}

    /**
     * Days of bloom and seed; empty where fewer than one year in ten comes so far before the end.
     *
     * @param clipBy last day on which clipping keeps it from seed
     * @param bloomsAgain after that
     * @param insectDays on which it flowers for them until it ends
     * @param insectDaysClipped until it is clipped
     */
    public record ClockView(
            String species,
            String name,
            Optional<BloomClock.Span> blooms,
            Optional<BloomClock.Span> seeds,
            int bloomYears,
            int seedYears,
            int years,
            Optional<LocalDate> clipBy,
            Optional<LocalDate> bloomsAgain,
            int insectDays,
            int insectDaysClipped) {}

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

    /**
     * A line of a crop's nitrogen ledger.
     *
     * @param leftOut why it does not count; empty where it does
     */
    public record LedgerLineView(
            String kind, String label, FigureView amount, String sure, String says, Optional<String> leftOut) {}

    /** What a crop needs by one school; without an amount it says what that wants. */
    public record NeedSchoolView(String id, String name, Optional<FigureView> amount, String lacks, boolean chosen) {}

    /**
     * Supply against uptake by the week.
     *
     * @param unit of all amounts
     * @param beforeLow free on the evening before planting: 10, 50 and 90 % of the years
     */
    public record SupplyView(
            String unit,
            int years,
            double beforeLow,
            double before,
            double beforeHigh,
            List<SupplyWeek> weeks,
            List<String> says) {}

    /**
     * A week of a crop.
     *
     * @param uptakeLow 10, 50 and 90 % of the years, as those of what is free
     */
    public record SupplyWeek(
            int week,
            LocalDate on,
            double uptakeLow,
            double uptake,
            double uptakeHigh,
            double freeLow,
            double free,
            double freeHigh,
            double held,
            double fed,
            int shortYears) {}

    /** A test that decides on a crop's nitrogen, from one day to another. */
    public record TestView(String id, String what, LocalDate from, LocalDate to, String says, boolean done) {}

    /**
     * P, K or S of a crop by balance.
     *
     * @param running balance of the plan until here
     */
    public record NutrientView(
            String symbol, FigureView removed, FigureView fed, FigureView balance, FigureView running) {}

    /** A cover's credit by one school. */
    public record CoverSchoolView(String id, String name, FigureView amount, boolean chosen) {}

    /** A crop's nitrogen. */
    public record FeedChapterView(
            List<NeedSchoolView> schools,
            List<LedgerLineView> lines,
            List<CoverSchoolView> coverSchools,
            Optional<FigureView> coverFixed,
            Optional<FigureView> coverMoved,
            Optional<String> cropBefore,
            Optional<SupplyView> supply,
            List<NutrientView> nutrients,
            List<TestView> tests,
            Optional<FigureView> boughtForYield,
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
