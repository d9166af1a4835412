package app.etlo.core.plan.timeline;

import app.etlo.core.field.BoundaryReader;
import app.etlo.core.field.FieldArea;
import app.etlo.core.field.FrostDates;
import app.etlo.core.field.SoilProfile;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.FieldLog;
import app.etlo.core.plan.document.FieldSoil;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.weather.FrostRisk;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Optional;

/**
 * A plan put into time on its field: everything of it that neither growth nor judgement is needed for.
 *
 * @param knowledge the library with the practice's corrections
 * @param asOf the day the evaluation is for
 * @param site the weather of the field; absent when nothing says where it lies
 * @param years that the span of the plan is played in
 * @param frost usual frost dates, as entered, else those of 5 years in 10
 * @param area of the field, ha
 * @param crops cash crops in time
 */
public record PlanInTime(
        PlanDocument plan,
        Context context,
        Knowledge knowledge,
        LocalDate asOf,
        Optional<SiteWeather> site,
        Optional<YearsAhead> years,
        PlanDates dates,
        Timeline timeline,
        SoilProfile soil,
        Optional<FrostDates> frost,
        Figure area,
        List<CropInTime> crops,
        PlanWindows windows,
        List<CoverInTime> covers) {

    /**
     * @param library without the practice's corrections
     */
    public static PlanInTime of(
            PlanDocument written, Context context, Knowledge library, LocalDate asOf, Optional<SiteWeather> site) {
        PlanDocument plan = FieldLog.into(written, context.log());
        Knowledge knowledge = library.corrected(context.corrections());
        Optional<YearsAhead> years = site.map(s -> PlanSpan.of(plan, asOf).years(s, asOf));
        return made(
                plan, context, knowledge, asOf, site, years, frost(context.field(), site, asOf), area(context.field()));
    }

    /** Another plan of the same crops on the same field, in the same years. */
    public PlanInTime with(PlanDocument changed) {
        return made(changed, context, knowledge, asOf, site, years, frost, area);
    }

    private static PlanInTime made(
            PlanDocument plan,
            Context context,
            Knowledge knowledge,
            LocalDate asOf,
            Optional<SiteWeather> site,
            Optional<YearsAhead> years,
            Optional<FrostDates> frost,
            Figure area) {
        PlanDates dates = new PlanDates(plan, knowledge, years);
        Timeline timeline = new Timeline(plan, knowledge, dates);
        List<CropInTime> crops = timeline.crops();
        PlanWindows windows = new PlanWindows(crops, years, frost);
        CoversInTime covers = new CoversInTime(context, knowledge, asOf, timeline, crops, windows, area);
        return new PlanInTime(
                plan,
                context,
                knowledge,
                asOf,
                site,
                years,
                dates,
                timeline,
                FieldSoil.of(context.field()),
                frost,
                area,
                crops,
                windows,
                plan.covers().stream().map(covers::of).toList());
    }

    public double evapotranspirationScale() {
        return context.field().evapotranspirationScale().orElse(1.0);
    }

    private static Optional<FrostDates> frost(FieldEntry field, Optional<SiteWeather> site, LocalDate asOf) {
        Optional<FrostRisk> risk = site.flatMap(
                s -> FrostRisk.of(s.climate(), 0, -field.coldHollowC().orElse(0.0), asOf));
        Optional<MonthDay> spring =
                field.lastSpringFrost().map(PlanInTime::day).or(() -> risk.flatMap(FrostRisk::lastSpringMiddle));
        Optional<MonthDay> autumn =
                field.firstAutumnFrost().map(PlanInTime::day).or(() -> risk.flatMap(FrostRisk::firstAutumnMiddle));
        return spring.flatMap(s -> autumn.map(a -> new FrostDates(s, a)));
    }

    private static MonthDay day(String monthDay) {
        return MonthDay.parse("--" + monthDay);
    }

    private static Figure area(FieldEntry field) {
        return field.boundary()
                .map(b -> FieldArea.of(BoundaryReader.read(b)))
                .orElseGet(() -> FieldArea.typed(field.area().orElseThrow()));
    }
}
