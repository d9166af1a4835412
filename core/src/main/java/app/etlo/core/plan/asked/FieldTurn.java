package app.etlo.core.plan.asked;

import app.etlo.core.advice.EndFacts;
import app.etlo.core.knowledge.Species;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.chapter.WetTop;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.rotation.CropInTime;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What decides when it is a field's turn in the season ahead: its next cover to be ended before a crop.
 *
 * @param cover what grows, by name
 * @param drinksMm less that the crop finds than without the cover, middle of the years
 * @param dryYearsOfTen in which the seed zone is dry at planting
 * @param fitDaysOfTen of the days before planting, on which the top of the soil bears machines while the cover lives
 * @param grazing what there is for stock; empty where none are to eat it
 */
public record FieldTurn(
        String fieldId,
        String field,
        String cover,
        LocalDate endsOn,
        String crop,
        LocalDate planted,
        double drinksMm,
        double dryYearsOfTen,
        double fitDaysOfTen,
        Optional<ForStock> grazing,
        UnitSystem units) {
    /** One season at a time: what is planted later has its turn in another spring. */
    private static final int AHEAD_DAYS = 270;

    /** Less water is nothing that decides. Etlo's own round amount. */
    private static final double WORTH_NAMING_MM = 5;

    private static final int NAMES = 2;

    /** The days before planting in which ground must be fit. */
    private static final int BEFORE_DAYS = 14;

    /**
     * @param fenced whether a fence of any kind is entered
     * @param water whether water for stock is entered
     * @param distanceKm from where the stock are kept
     */
    public record ForStock(boolean fenced, boolean water, Optional<Double> distanceKm) {}

    /** Of a plan; empty where no cover lies ahead that is ended for a crop. */
    public static Optional<FieldTurn> of(Evaluated e) {
        return e.covers().stream()
                .filter(c ->
                        c.inTime().endsOn().filter(d -> !d.isBefore(e.asOf())).isPresent())
                .min(Comparator.comparing(c -> c.inTime().endsOn().orElseThrow()))
                .flatMap(c -> e.growth().ground().flatMap(g -> of(e, c, g)));
    }

    private static Optional<FieldTurn> of(Evaluated e, CoverResult c, PlanGround g) {
        Optional<LocalDate> planted = c.inTime().next().flatMap(CropInTime::planted);
        Optional<EndFacts.Water> water = c.facts().water();
        if (planted.isEmpty() || water.isEmpty()) {
            return Optional.empty();
        }
        LocalDate day = planted.get();
        if (day.isAfter(e.asOf().plusDays(AHEAD_DAYS))) {
            return Optional.empty();
        }
        FieldEntry field = e.context().field();
        return Optional.of(new FieldTurn(
                field.id(),
                field.name(),
                named(c.inTime().species()),
                c.inTime().endsOn().orElseThrow(),
                c.inTime().next().orElseThrow().crop().name().toLowerCase(Locale.ROOT),
                day,
                water.get().drinksMm(),
                water.get().dryYearsPercent() / 10,
                10 * (1 - WetTop.share(g, day.minusDays(BEFORE_DAYS), day)),
                fed(e, c) ? Optional.of(forStock(field)) : Optional.empty(),
                e.context().farm().units()));
    }

    private static String named(List<Species> all) {
        return all.stream().limit(NAMES).map(Species::name).collect(Collectors.joining(", "))
                + (all.size() > NAMES ? " and " + (all.size() - NAMES) + " more" : "");
    }

    private static boolean fed(Evaluated e, CoverResult c) {
        return c.entry().aims().orElse(List.of()).contains("feed-stock")
                || e.plan().operations().stream()
                        .anyMatch(o -> o instanceof Operation.Graze
                                && o.subject().filter(c.entry().id()::equals).isPresent());
    }

    private static ForStock forStock(FieldEntry f) {
        return new ForStock(
                f.fence().filter(t -> !t.equals("none")).isPresent(),
                f.waterSupply().filter(t -> !t.isBlank()).isPresent(),
                f.stockDistance().map(q -> q.in(Unit.METRE) / 1000));
    }

    private String said(double mm) {
        return Said.in(Said.of(Math.round(Math.abs(mm)), Unit.MILLIMETRE), units, "");
    }

    /** Why it is early or late in a dry spring. */
    String inDry() {
        return (drinksMm >= WORTH_NAMING_MM
                        ? "living until then it takes " + said(drinksMm) + " from the crop"
                        : "it costs the crop no water worth naming")
                + "; the seed zone is dry in " + Math.round(dryYearsOfTen) + " of 10 years";
    }

    /** Why it is early or late in a wet spring. */
    String inWet() {
        return "fit on " + Math.round(fitDaysOfTen) + " days of 10 in the fortnight before planting";
    }

    /** What it has for stock. */
    String forStock() {
        ForStock s = grazing.orElseThrow();
        return (s.fenced() ? "fenced" : "no fence entered") + ", " + (s.water() ? "water" : "no water entered")
                + s.distanceKm()
                        .map(km -> ", " + Said.in(Said.of(Math.round(km * 100) / 100.0, Unit.KILOMETRE), units, "")
                                + " from the stock")
                        .orElse(", distance not entered");
    }
}
