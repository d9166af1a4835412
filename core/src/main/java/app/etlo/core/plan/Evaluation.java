package app.etlo.core.plan;

import app.etlo.core.advice.Step;
import app.etlo.core.advice.Weight;
import app.etlo.core.knowledge.Group;
import app.etlo.core.plan.PlanDocument.AnswerEntry;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the screen, the PDF and other programs read of an evaluated plan: figures written out in the farm's units. */
public record Evaluation(
        String planId,
        LocalDate asOf,
        String coreVersion,
        UnitSystem units,
        String currency,
        Map<String, FigureView> figures,
        List<WindowView> windows,
        List<CropView> crops,
        List<CoverView> covers,
        SectionView section,
        List<NoteView> notes,
        List<LedgerLine> ledger,
        Optional<NextDecision> next) {

    /**
     * A figure as it is read.
     *
     * @param value in {@code unit}, unrounded
     * @param text rounded for reading
     * @param low written low end, for banded figures
     * @param lowValue low end in {@code unit}, unrounded, for banded figures
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
            Optional<Double> highValue) {}

    public record WindowView(
            String id, String afterCropId, String beforeCropId, LocalDate from, LocalDate to, String daysFigure) {}

    public record CropView(
            String id,
            String name,
            String family,
            Optional<LocalDate> planted,
            Optional<LocalDate> harvested,
            Optional<String> coverId,
            boolean needByYield,
            boolean yieldInBushels,
            String system,
            List<PassView> passes) {}

    public record PassView(
            String id,
            LocalDate date,
            String name,
            double depthCm,
            double share,
            boolean planting,
            String ratingFigure) {}

    public record CoverView(
            String id,
            String name,
            Optional<String> nextCropId,
            Optional<LocalDate> sown,
            Optional<LocalDate> ended,
            Optional<String> endMethod,
            List<RateView> rates,
            List<BoxView> boxes) {}

    /** One species of a mix; its figures are under {@code mix/<cover>/<species>/}. */
    public record RateView(String species, String name, Group group, boolean smallBox) {}

    public record BoxView(String id, List<String> species, String rateFigure, String catchFigure) {}

    /** A note with the answer that still holds. */
    public record NoteView(
            String rule,
            Weight weight,
            Step step,
            String subject,
            Optional<LocalDate> at,
            String text,
            List<String> facts,
            String wouldChange,
            String source,
            Source.Status status,
            String sure,
            String factsHash,
            Optional<AnswerEntry> answer) {}

    /** A consequence that stays on the screen beside the crop it belongs to. */
    public record LedgerLine(String cropId, String label, String figureId) {}

    /** What needs a decision next. */
    public record NextDecision(String what, LocalDate date, Step step) {}

    /** The ground section: what stands, lies and cuts, in time. Heights are typical ones, not forecasts. */
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
            List<PinView> pins) {}

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
     * @param frostedOn the usual first frost after sowing, for what does not stand frost
     * @param courseCm outline of typical height, cm, every seven days from the stand's first day to its last
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
            List<Integer> courseCm) {}

    public record ResidueView(String id, String label, LocalDate from, LocalDate to, double tHa, String figureId) {}

    /** A dated operation that can be moved. */
    public record PinView(
            String operationId, String kind, String subject, boolean cover, LocalDate date, String label) {}
}
