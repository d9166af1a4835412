package app.etlo.core.plan.growth;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.CompetitionForecast;
import app.etlo.core.mix.Component;
import app.etlo.core.mix.Finding;
import app.etlo.core.mix.Fitness;
import app.etlo.core.mix.MixForecast;
import app.etlo.core.mix.MixForecast.Sown;
import app.etlo.core.mix.MixOutlook;
import app.etlo.core.mix.MixPlace;
import app.etlo.core.mix.MixSeason;
import app.etlo.core.mix.Prospect;
import app.etlo.core.mix.SeedRate;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.Window;
import app.etlo.core.termination.Termination;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** What a cover's mix is judged with: its season, the forecast for it, and its place in the plan. */
public record MixBench(MixForecast forecast, MixPlace place) {

    /** Of a cover; empty without weather, or where neither dates nor a window say when it grows. */
    public static Optional<MixBench> of(PlanInTime plan, CoverInTime cover) {
        FieldEntry field = plan.context().field();
        Optional<YearsAhead> years = plan.years();
        Optional<Termination> end = cover.end();
        Optional<LocalDate> from = cover.sown().or(() -> cover.window().map(Window::from));
        Optional<LocalDate> to =
                end.map(Termination::date).or(() -> cover.window().map(Window::to));
        if (years.isEmpty() || from.isEmpty() || to.isEmpty() || !from.get().isBefore(to.get())) {
            return Optional.empty();
        }
        MixSeason season =
                new MixSeason(years.get(), from.get(), to.get(), plan.soil().availableMm());
        MixPlace place = new MixPlace(
                cover.next(),
                cover.previous().map(CropInTime::crop),
                cover.standing()
                        .flatMap(s -> cover.entry()
                                .place()
                                .kind()
                                .or(() -> cover.window().map(Window::kind))),
                end.map(e -> new MixPlace.End(
                        e.date(),
                        e.method(),
                        cover.endings().stream()
                                .skip(1)
                                .map(Termination::method)
                                .toList())),
                ph(field),
                field.drainage(),
                field.tileDepth().map(q -> q.in(Unit.CENTIMETRE)),
                field.panDepth().map(q -> q.in(Unit.CENTIMETRE)),
                field.livestock().orElse(""),
                field.certification().filter(c -> !c.equals("conventional")).isPresent(),
                field.equipment().orElse(List.of()).stream()
                        .map(FieldEntry.Machine::kind)
                        .toList(),
                field.programmes().orElse(List.of()).stream()
                        .map(p -> new MixPlace.Programme(p.name(), names(p.allowedSpecies())))
                        .toList(),
                field.residuals().orElse(List.of()).stream()
                        .map(r -> new MixPlace.Residual(
                                r.activeIngredient(),
                                r.intervalMonths().map(m -> r.appliedOn().plusDays(Math.round(m * 30.44)))))
                        .toList(),
                names(field.noxiousList()),
                cover.entry().aims().orElse(List.of()));
        return Optional.of(new MixBench(new CompetitionForecast(season), place));
    }

    /** The newest test of pH, else what is entered of the field. */
    private static Optional<Double> ph(FieldEntry field) {
        return field.soilTests().orElse(List.of()).stream()
                .filter(t -> t.ph().isPresent())
                .max(Comparator.comparing(FieldEntry.SoilTest::date))
                .flatMap(FieldEntry.SoilTest::ph)
                .or(field::ph);
    }

    /** Names of a typed list, lower case. */
    public static List<String> names(Optional<String> typed) {
        return typed.stream()
                .flatMap(t -> Arrays.stream(t.split("[;,\\n]")))
                .map(t -> t.strip().toLowerCase(Locale.ROOT))
                .filter(t -> !t.isEmpty())
                .toList();
    }

    /** The same with growth simulated. */
    MixBench grown(UnaryOperator<MixForecast> by) {
        return new MixBench(by.apply(forecast), place);
    }

    /** The concerns about each species of a mix. */
    public Map<String, List<Finding>> findings(List<Component> components, Knowledge knowledge) {
        Map<String, List<Finding>> found = new LinkedHashMap<>();
        components.forEach(c -> found.put(c.species().id(), Fitness.of(c.species(), knowledge, forecast, place)));
        return found;
    }

    /** Share of the years in which each species still lives at the end. */
    public Map<String, Double> aliveAtEnd(List<Component> components) {
        Map<String, Double> alive = new LinkedHashMap<>();
        components.forEach(c -> alive.put(
                c.species().id(), Prospect.share(forecast.alone(c.species()).alive())));
        return alive;
    }

    /** What the rates of a mix grow into. */
    public Optional<MixOutlook> outlook(String prefix, List<SeedRate> rates) {
        return MixOutlook.of(prefix, sown(rates), forecast, place);
    }

    /** The species of a mix over the whole field, as shares of the plants that a drilled full rate brings up. */
    static List<Sown> sown(List<SeedRate> rates) {
        return rates.stream()
                .map(r -> new Sown(
                        r.component().species(),
                        r.component().zone().share().middle()
                                / 100
                                * r.comesUpM2().middle()
                                / fullStandM2(r)))
                .toList();
    }

    private static double fullStandM2(SeedRate r) {
        Species s = r.component().species();
        return SeedRate.EMERGES_PERCENT
                / 100
                * s.fullRateKgHa().middle()
                * s.seedsPerKg().middle()
                / 1e4;
    }
}
