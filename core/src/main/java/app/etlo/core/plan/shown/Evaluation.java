package app.etlo.core.plan.shown;

import app.etlo.core.advice.MissingFact;
import app.etlo.core.advice.Step;
import app.etlo.core.advice.Weight;
import app.etlo.core.knowledge.Group;
import app.etlo.core.plan.document.PlanDocument.AnswerEntry;
import app.etlo.core.plan.shown.ChapterViews.EndChapterView;
import app.etlo.core.plan.shown.ChapterViews.FeedChapterView;
import app.etlo.core.plan.shown.ChapterViews.FieldView;
import app.etlo.core.plan.shown.ChapterViews.GrowView;
import app.etlo.core.plan.shown.ChapterViews.MixChapterView;
import app.etlo.core.plan.shown.ChapterViews.PlantChapterView;
import app.etlo.core.plan.shown.ChapterViews.SowChapterView;
import app.etlo.core.plan.shown.ChapterViews.WindowView;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.working.About;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the screen, the PDF and other programs read of an evaluated plan, chapter by chapter: figures written out in the farm's
 * units. Chapters that were not asked for are empty.
 *
 * @param mix by cover, as {@code sow} and {@code end} are
 * @param plant by crop, as {@code feed} is
 */
public record Evaluation(
        String planId,
        LocalDate asOf,
        String coreVersion,
        UnitSystem units,
        String currency,
        Optional<FieldView> field,
        List<WindowView> windows,
        List<CropView> crops,
        List<CoverView> covers,
        Map<String, MixChapterView> mix,
        Map<String, SowChapterView> sow,
        Optional<GrowView> grow,
        Map<String, EndChapterView> end,
        Map<String, PlantChapterView> plant,
        Map<String, FeedChapterView> feed,
        Optional<SectionView> section,
        List<NoteView> notes,
        List<LedgerLine> ledger,
        Optional<NextDecision> next,
        List<DateView> dates,
        Optional<WeatherView> weather,
        List<DecisionView> calendar) {

    /**
     * A figure as it is read.
     *
     * @param value in {@code unit}, unrounded
     * @param text rounded for reading
     * @param low written low end, for banded figures
     * @param lowValue low end in {@code unit}, unrounded, for banded figures
     * @param about what it is a number of, where other steps show the same number
     */
    public record FigureView(
            String id,
            String label,
            double value,
            String text,
            String unit,
            Origin origin,
            Optional<String> low,
            Optional<String> high,
            Optional<Double> lowValue,
            Optional<Double> highValue,
            Optional<About> about) {}

    /** A date as it falls in a middle year, with how it is found where it was not typed. */
    public record DateView(
            String operationId,
            LocalDate on,
            Optional<LocalDate> early,
            Optional<LocalDate> late,
            Optional<String> how) {}

    /**
     * The weather it is computed with.
     *
     * @param years whole years of the record that are played
     * @param forecastIssued when the forecast was made that stands for the next days
     * @param missingDays days of the plan gone by that the record does not hold; other years stand for them
     */
    public record WeatherView(
            String id,
            String name,
            Origin origin,
            String how,
            int years,
            Optional<Instant> forecastIssued,
            int missingDays) {}

    /** Weather of the section by weeks from its first day; 10/50/90 where it lies ahead. */
    public record WeatherWeeks(
            int recordedWeeks,
            List<Integer> frostPercent,
            List<Integer> rainMm,
            List<Integer> rainHighMm,
            List<Integer> meanLowC10,
            List<Integer> meanC10,
            List<Integer> meanHighC10) {}

    public record CropView(
            String id,
            String name,
            String family,
            Optional<LocalDate> planted,
            Optional<LocalDate> harvested,
            Optional<String> coverId,
            boolean needByYield,
            boolean yieldInBushels,
            Optional<String> system,
            List<PassView> passes) {}

    /**
     * A pass over the ground.
     *
     * @param planting whether it belongs to the planting of the crop
     * @param strips whether it works strips
     */
    public record PassView(
            String id,
            LocalDate date,
            String name,
            double depthCm,
            double share,
            boolean planting,
            boolean strips,
            String ratingFigure) {}

    /**
     * @param judged whether candidates can be judged: it is known where the field lies and when the cover grows
     */
    public record CoverView(
            String id,
            String name,
            Optional<String> nextCropId,
            Optional<LocalDate> sown,
            Optional<LocalDate> ended,
            Optional<String> endMethod,
            Optional<String> windowId,
            boolean judged) {}

    /**
     * A note with the answer that still holds.
     *
     * @param about the crop or cover it is about, by name and year, else the field
     * @param ask a fact that can be given on the spot
     */
    public record NoteView(
            String rule,
            Weight weight,
            Step step,
            String subject,
            String about,
            Optional<LocalDate> at,
            String text,
            List<String> facts,
            String wouldChange,
            String source,
            Source.Status status,
            String confidence,
            Optional<MissingFact> ask,
            String factsHash,
            Optional<AnswerEntry> answer) {}

    /** A consequence that stays on the screen beside the crop it belongs to. */
    public record LedgerLine(String cropId, String label, FigureView figure) {}

    /** Something to be decided or done by a day. */
    public record DecisionView(String what, LocalDate by, Step step, String subject, String because) {}

    /** What needs a decision next. */
    public record NextDecision(String what, LocalDate date, Step step) {}

    /** The ground section: what stands, lies and cuts, in time, as simulated; without weather heights are typical ones. */
    public record SectionView(
            LocalDate from,
            LocalDate to,
            LocalDate today,
            Optional<Double> tileDepthCm,
            List<FrostView> frosts,
            double heightM,
            double depthM,
            List<StandView> stands,
            List<ResidueView> residues,
            List<PassView> passes,
            List<PinView> pins,
            Optional<WeatherWeeks> weather,
            Optional<Double> panDepthCm,
            List<Double> layerDepthsCm,
            Optional<GroundWeeks> ground) {

        /** The same for a list, where weather has no room. */
        public SectionView withoutWeather() {
            return new SectionView(
                    from,
                    to,
                    today,
                    tileDepthCm,
                    frosts,
                    heightM,
                    depthM,
                    stands,
                    residues,
                    passes,
                    pins,
                    Optional.empty(),
                    panDepthCm,
                    layerDepthsCm,
                    ground.map(GroundWeeks::withoutDetail));
        }
    }

    /**
     * The simulated ground by weeks from the section's first day: middles, and where shown 1 year in 10 and 9 in 10.
     *
     * @param layerBottomsCm lower edges of the layers of water
     * @param waterPercent of each layer between wilting point, 0, and field capacity, 100, by layer and week
     */
    public record GroundWeeks(
            List<Integer> livingCoverPercent,
            List<Integer> residueCoverPercent,
            List<Integer> residueKgHa,
            List<Integer> residueLowKgHa,
            List<Integer> residueHighKgHa,
            List<Integer> mineralNKgHa,
            List<Integer> availableMm,
            List<Integer> availableLowMm,
            List<Integer> availableHighMm,
            List<Integer> layerBottomsCm,
            List<List<Integer>> waterPercent) {

        /** The residue alone, for a list. */
        GroundWeeks withoutDetail() {
            return new GroundWeeks(
                    List.of(),
                    List.of(),
                    residueKgHa,
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of());
        }
    }

    /**
     * How a plant grows by weeks from its stand's first day, as the outline goes: middles, and with low and high the band of weather and
     * model together.
     *
     * @param stage100 a hundred times the stage: 100 is anthesis or early bloom
     * @param alivePercent share of the years in which it still stands
     */
    public record GrownView(
            List<Integer> massKgHa,
            List<Integer> massLowKgHa,
            List<Integer> massHighKgHa,
            List<Integer> heightLowCm,
            List<Integer> heightHighCm,
            List<Integer> rootCm,
            List<Integer> nitrogenKgHa,
            List<Integer> coverPercent,
            List<Integer> stage100,
            List<Integer> alivePercent) {}

    /** From a usual first autumn frost to the usual last spring frost after it. */
    public record FrostView(LocalDate from, LocalDate to) {}

    /**
     * @param open its end is not dated yet
     */
    public record StandView(
            String id, boolean cover, String label, LocalDate from, LocalDate to, boolean open, List<PartView> parts) {}

    /**
     * One species of a stand.
     *
     * @param frostedOn the day by which frost has ended it in half of the years; without weather the usual first frost
     * @param courseCm height, cm, every seven days from the stand's first day to its last: simulated, or typical without weather
     * @param grown how it grows, where that is simulated
     */
    public record PartView(
            String id,
            String name,
            Group group,
            String form,
            double heightM,
            double rootDepthM,
            boolean taproot,
            Optional<LocalDate> frostedOn,
            List<Integer> courseCm,
            Optional<GrownView> grown) {}

    public record ResidueView(String id, String label, LocalDate from, LocalDate to, double tHa, String figureId) {}

    /**
     * A dated operation that can be moved.
     *
     * @param early the day of 1 year in 10, where weather decides it
     */
    public record PinView(
            String operationId,
            String kind,
            String subject,
            boolean cover,
            LocalDate date,
            Optional<LocalDate> early,
            Optional<LocalDate> late,
            String label) {}
}
