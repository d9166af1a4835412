package app.etlo.core.plan.growth;

import app.etlo.core.field.Residual;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.Finding;
import app.etlo.core.mix.Fitness;
import app.etlo.core.mix.MixForecast;
import app.etlo.core.mix.MixForecast.Sown;
import app.etlo.core.mix.MixOutlook;
import app.etlo.core.mix.MixPlace;
import app.etlo.core.mix.MixSeason;
import app.etlo.core.mix.SeasonGrowth;
import app.etlo.core.mix.SeedRate;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.Window;
import app.etlo.core.termination.Termination;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** What a cover's mix is judged with: its season, the forecast for it, and its place in the plan. */
public record MixBench(MixForecast forecast, MixPlace place) {

    /** When a cover grows; empty without weather, or where neither dates nor a window say when. */
    static Optional<MixSeason> season(PlanInTime plan, CoverInTime cover) {
        Optional<LocalDate> from = cover.sown().or(() -> cover.window().map(Window::from));
        Optional<LocalDate> to = cover.endsOn();
        return plan.years().isEmpty()
                        || from.isEmpty()
                        || to.isEmpty()
                        || !from.get().isBefore(to.get())
                ? Optional.empty()
                : Optional.of(new MixSeason(from.get(), to.get()));
    }

    static MixPlace place(PlanInTime plan, CoverInTime cover) {
        FieldEntry field = plan.context().field();
        Optional<Termination> end = cover.end();
        return new MixPlace(
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
                field.slopePercent(),
                field.livestock().orElse(""),
                field.certification().filter(c -> !c.equals("conventional")).isPresent(),
                field.equipment().orElse(List.of()).stream()
                        .map(FieldEntry.Machine::kind)
                        .toList(),
                field.programmes().orElse(List.of()).stream()
                        .map(p -> new MixPlace.Programme(p.name(), names(p.allowedSpecies())))
                        .toList(),
                field.residuals().orElse(List.of()).stream()
                        .map(r -> residual(field, r))
                        .toList(),
                names(field.noxiousList()),
                cover.entry().aims().orElse(List.of()));
    }

    /** A herbicide with its intervals to single plants and groups. */
    public static Residual residual(FieldEntry f, FieldEntry.Residual r) {
        return new Residual(
                r.activeIngredient(),
                r.appliedOn(),
                r.intervalMonths(),
                f.residualIntervals().orElse(List.of()).stream()
                        .filter(i -> i.activeIngredient().equalsIgnoreCase(r.activeIngredient()))
                        .collect(Collectors.toMap(
                                FieldEntry.ResidualInterval::of, FieldEntry.ResidualInterval::months, Math::max)));
    }

    /** The newest test of pH, else what is entered of the field. */
    /** Of the newest test that has it, else as entered. */
    public static Optional<Double> ph(FieldEntry field) {
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

    /** What the cover's own mix comes to. */
    public SeasonGrowth own(List<SeedRate> rates) {
        return forecast.grow(sown(rates));
    }

    /** The concerns about each species of a mix, by what it comes to in it. */
    public Map<String, List<Finding>> findings(List<SeedRate> rates, Knowledge knowledge) {
        Map<String, List<Finding>> found = new LinkedHashMap<>();
        own(rates)
                .species()
                .forEach(p -> found.put(p.species().id(), Fitness.of(p, forecast.season(), place, knowledge)));
        return found;
    }

    /** Share of the years in which each species still lives at the end. */
    public Map<String, Double> aliveAtEnd(List<SeedRate> rates) {
        Map<String, Double> alive = new LinkedHashMap<>();
        own(rates).species().forEach(p -> alive.put(p.species().id(), p.aliveShare()));
        return alive;
    }

    /** What the rates of a cover's mix grow into. */
    public Optional<MixOutlook> outlook(String coverId, List<SeedRate> rates) {
        return MixOutlook.of("mix/" + coverId, coverId, sown(rates), forecast, place);
    }

    /** The species of a mix over the whole field, as shares of the plants that a drilled full rate brings up. */
    public static List<Sown> sown(List<SeedRate> rates) {
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
