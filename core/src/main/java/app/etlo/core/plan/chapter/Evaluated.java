package app.etlo.core.plan.chapter;

import app.etlo.core.advice.Note;
import app.etlo.core.field.FrostDates;
import app.etlo.core.field.SoilProfile;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.Blend;
import app.etlo.core.mix.MixOutlook;
import app.etlo.core.mix.Sowing;
import app.etlo.core.mix.UsefulSowing;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.plan.growth.FieldChecks;
import app.etlo.core.plan.growth.MixBench;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.timeline.DatedBy;
import app.etlo.core.plan.timeline.SiteWeather;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.Window;
import app.etlo.core.termination.Termination;
import app.etlo.core.tillage.Pass;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A plan worked out against its context. Every figure carries its working.
 *
 * @param knowledge the library with the practice's corrections
 * @param figures by id
 * @param crops cash crops in time
 * @param dates on which the operations fall, by operation
 * @param site the weather it is computed with; absent when nothing says where the field lies
 * @param calendar what has to be decided by when, in time
 * @param ground the simulation; absent without weather or anything sown
 * @param laterPasses passes after the last harvest, which belong to no crop yet
 */
public record Evaluated(
        PlanDocument plan,
        Context context,
        Knowledge knowledge,
        LocalDate asOf,
        Map<String, Figure> figures,
        List<Window> windows,
        List<CropResult> crops,
        List<CoverResult> covers,
        List<Pass> laterPasses,
        List<Note> notes,
        Map<String, DatedBy> dates,
        Optional<SiteWeather> site,
        Optional<YearsAhead> years,
        Optional<FrostDates> frost,
        SoilProfile soil,
        List<Decision> calendar,
        Optional<PlanGround> ground) {

    /**
     * @param passes every pass from after the previous harvest through this one's, in time
     * @param planting those of them that put the crop in
     * @param cover the cover ahead of it
     */
    public record CropResult(CropInTime crop, List<Pass> passes, List<Pass> planting, Optional<String> cover) {}

    public record CoverResult(
            CoverEntry entry,
            Optional<CropInTime> next,
            Optional<LocalDate> sown,
            Optional<Termination> end,
            List<Species> species,
            Sowing sowing,
            Optional<Blend> blend,
            Optional<Window> window,
            List<UsefulSowing> useful,
            Optional<MixOutlook> outlook,
            Optional<MixBench> bench,
            List<FieldChecks.Seen> checks) {}

    public UnitSystem units() {
        return context.farm().units();
    }

    /** A sentence with its quantities in the units and the currency of the farm. */
    public String said(String text) {
        return Said.in(text, units(), context.farm().currency());
    }
}
