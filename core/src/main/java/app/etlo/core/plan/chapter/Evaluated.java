package app.etlo.core.plan.chapter;

import app.etlo.core.advice.EndFacts;
import app.etlo.core.advice.Note;
import app.etlo.core.field.FieldResult;
import app.etlo.core.field.FrostDates;
import app.etlo.core.field.SoilProfile;
import app.etlo.core.grazing.Forage;
import app.etlo.core.ground.GrownCover;
import app.etlo.core.ground.GrownCrop;
import app.etlo.core.ground.GrownRotation;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.BloomClock;
import app.etlo.core.mix.GrowVerdict;
import app.etlo.core.mix.MixResult;
import app.etlo.core.mix.SowResult;
import app.etlo.core.nitrogen.CoverCredit;
import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.plan.growth.FieldChecks;
import app.etlo.core.plan.growth.MixBench;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.growth.PlanGrowth;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.DatedBy;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.plan.timeline.SiteWeather;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.Window;
import app.etlo.core.rotation.WindowKind;
import app.etlo.core.rotation.WindowResult;
import app.etlo.core.termination.EndResult;
import app.etlo.core.termination.LivingMulch;
import app.etlo.core.termination.Termination;
import app.etlo.core.tillage.Pass;
import app.etlo.core.tillage.PlantResult;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.time.LocalDate;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * A plan worked out against its context, chapter by chapter. Every figure carries its working.
 *
 * @param field the ground before anything is planned on it
 * @param windows between and inside the crops, in time
 * @param crops cash crops in time
 * @param rotation what the whole of it does for the ground
 * @param laterPasses passes after the last harvest, which belong to no crop yet, and {@code laterRatings} by pass
 * @param calendar what has to be decided by when, in time
 * @param growth of the plan, and of what is tried in its ground
 * @param figures every one of the chapters by id, for whoever was given an id: a working, a comparison, a watch list
 */
public record Evaluated(
        PlanInTime inTime,
        FieldResult field,
        List<WindowResult> windows,
        List<CropResult> crops,
        List<CoverResult> covers,
        GrownRotation rotation,
        List<Pass> laterPasses,
        Map<String, Figure> laterRatings,
        List<Note> notes,
        List<Decision> calendar,
        PlanGrowth growth,
        Map<String, Figure> figures) {

    /**
     * A cash crop.
     *
     * @param passes every pass from after the previous harvest through this one's, in time
     * @param planting those of them that put the crop in
     * @param cover the cover ahead of it
     */
    public record CropResult(
            CropInTime crop,
            List<Pass> passes,
            List<Pass> planting,
            Optional<String> cover,
            GrownCrop grow,
            PlantResult plant,
            FeedResult feed) {}

    /**
     * A cover.
     *
     * @param bench what its mix is judged with; empty without weather or season
     * @param grow what stands of it when it ends, as simulated
     * @param credit of what stands of it, as typed or weighed
     * @param checks in the field, as weighed against the forecast
     * @param clocks when its species flower and set seed
     * @param facts of its end, for judgements
     * @param verdicts of the checks, by check
     * @param forage the cover as feed
     * @param livingMulch where it lives on under the crop after it
     */
    public record CoverResult(
            CoverInTime inTime,
            Optional<MixBench> bench,
            MixResult mix,
            SowResult sow,
            Optional<GrownCover> grow,
            EndResult ending,
            Optional<CoverCredit> credit,
            List<FieldChecks.Seen> checks,
            List<BloomClock> clocks,
            EndFacts facts,
            Map<String, List<GrowVerdict>> verdicts,
            Forage forage,
            Optional<LivingMulch> livingMulch) {
        public CoverEntry entry() {
            return inTime.entry();
        }

        public String id() {
            return inTime.id();
        }

        public Optional<CropInTime> next() {
            return inTime.next();
        }

        public Optional<Window> window() {
            return inTime.window();
        }

        public Optional<LocalDate> sown() {
            return inTime.sown();
        }

        public Optional<Termination> end() {
            return inTime.end();
        }

        public List<Species> species() {
            return inTime.species();
        }
    }

    /** The chapters, with their figures by id. */
    static Evaluated of(
            PlanInTime inTime,
            FieldResult field,
            List<WindowResult> windows,
            List<CropResult> crops,
            List<CoverResult> covers,
            GrownRotation rotation,
            List<Pass> laterPasses,
            Map<String, Figure> laterRatings,
            List<Note> notes,
            List<Decision> calendar,
            PlanGrowth growth) {
        Map<String, Figure> figures = new LinkedHashMap<>();
        Consumer<Figured> all = r -> r.figures().forEach(f -> figures.put(f.id(), f));
        all.accept(field);
        windows.forEach(all);
        covers.forEach(c -> {
            all.accept(c.mix());
            all.accept(c.sow());
            c.checks().forEach(all);
            all.accept(c.forage());
            c.grow().ifPresent(all);
            all.accept(c.ending());
            c.credit().ifPresent(all);
        });
        crops.forEach(c -> {
            all.accept(c.grow());
            all.accept(c.plant());
            all.accept(c.feed());
        });
        all.accept(rotation);
        laterRatings.values().forEach(f -> figures.put(f.id(), f));
        return new Evaluated(
                inTime,
                field,
                windows,
                crops,
                covers,
                rotation,
                laterPasses,
                laterRatings,
                notes,
                calendar,
                growth,
                Collections.unmodifiableMap(figures));
    }

    /** A cover by its id. */
    public CoverResult cover(String id) {
        return covers.stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
    }

    /** The window between the crop before and this one. */
    public Optional<Window> windowAhead(String cropId) {
        return windows.stream()
                .map(WindowResult::window)
                .filter(w -> w.kind() == WindowKind.BETWEEN && w.before().equals(Optional.of(cropId)))
                .findFirst();
    }

    public PlanDocument plan() {
        return inTime.plan();
    }

    public Context context() {
        return inTime.context();
    }

    /** The library with the practice's corrections. */
    public Knowledge knowledge() {
        return inTime.knowledge();
    }

    public LocalDate asOf() {
        return inTime.asOf();
    }

    /** The days on which the operations fall, by operation. */
    public Map<String, DatedBy> dates() {
        return inTime.dates().all();
    }

    /** The weather it is computed with; absent when nothing says where the field lies. */
    public Optional<SiteWeather> site() {
        return inTime.site();
    }

    public Optional<YearsAhead> years() {
        return inTime.years();
    }

    public Optional<FrostDates> frost() {
        return inTime.frost();
    }

    /** The simulation; absent without weather or anything sown. */
    public Optional<PlanGround> ground() {
        return growth.ground();
    }

    public SoilProfile soil() {
        return inTime.soil();
    }

    public UnitSystem units() {
        return context().farm().units();
    }

    /** A sentence with its quantities in the units and the currency of the farm. */
    public String said(String text) {
        return Said.in(text, units(), context().farm().currency());
    }
}
