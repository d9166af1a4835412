package app.etlo.core.mix;

import app.etlo.core.field.Residual;
import app.etlo.core.knowledge.Caution;
import app.etlo.core.knowledge.Site;
import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.Use;
import app.etlo.core.mix.FitnessRule.Case;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What field, programme, stock, machines and purse say of a species. */
final class PlaceReasons {
    /** Seed cost of a full rate per ha, in the library's currency. */
    private static final double EXPENSIVE_PER_HA = 150;

    private static final Set<String> STOCK_AIMS = Set.of("feed-stock");

    private PlaceReasons() {}

    static Optional<String> phOutside(Case c) {
        Site site = c.species().site();
        return c.place()
                .ph()
                .filter(ph -> ph < site.phLow() || ph > site.phHigh())
                .map(ph -> "pH " + ph + "; its limits are " + site.phLow() + " to " + site.phHigh());
    }

    static Optional<String> drowns(Case c) {
        boolean wet = c.place()
                .drainage()
                .filter(d -> d.equals("poorly drained") || d.equals("very poorly drained"))
                .isPresent();
        return Reasons.when(wet && c.species().site().wet() == Site.Degree.POOR, "bears wet soil poorly");
    }

    static Optional<String> residual(Case c) {
        return c.place().residuals().stream()
                .filter(r -> !r.appliedOn().isAfter(c.season().sown()))
                .filter(r ->
                        safeFrom(r, c).map(d -> d.isAfter(c.season().sown())).orElse(true))
                .findFirst()
                .map(r -> safeFrom(r, c)
                        .map(d -> r.activeIngredient() + " keeps the ground until " + Shown.date(d)
                                + " by the interval typed")
                        .orElse(r.activeIngredient() + ": type the label's interval to this species first"));
    }

    private static Optional<LocalDate> safeFrom(Residual r, Case c) {
        return r.safeFrom(c.species().id(), c.species().group().id());
    }

    static Optional<String> notOnProgramme(Case c) {
        String name = c.species().name().toLowerCase(Locale.ROOT);
        return c.place().programmes().stream()
                .filter(p -> !p.allowed().isEmpty())
                .filter(p -> p.allowed().stream()
                        .noneMatch(a -> a.equals(name) || a.equals(c.species().id())))
                .findFirst()
                .map(p -> "not on the list of " + p.name());
    }

    static Optional<String> harmsStock(Case c) {
        boolean grazed = c.place().aims().stream().anyMatch(STOCK_AIMS::contains)
                || c.place().end().filter(e -> e.method().grazes()).isPresent();
        Set<String> worst = Set.of(
                "vetch-poisoning",
                "sunn-hemp-alkaloids",
                "lupin-alkaloids",
                "horses-sorghum",
                "foxtail-horses",
                "lathyrism",
                "velvetbean");
        List<Caution> harm = c.species().use().cautions().stream()
                .filter(worst::contains)
                .map(id -> c.knowledge().cautions().get(id))
                .filter(k -> k.animals().stream().anyMatch(c.place()::keeps))
                .toList();
        return Reasons.when(
                grazed && !harm.isEmpty(),
                "to be grazed: "
                        + harm.stream()
                                .map(k -> k.name().toLowerCase(Locale.ROOT))
                                .collect(Collectors.joining(", ")));
    }

    static Optional<String> onNoxiousList(Case c) {
        return Reasons.when(
                NoxiousList.names(c.place().noxious(), c.species().name())
                        || NoxiousList.names(c.place().noxious(), c.species().botanical()),
                "is on the list of noxious plants entered for this field. Read the law in force before any seed is bought");
    }

    static Optional<String> plugsDrains(Case c) {
        return c.place()
                .tileDepthCm()
                .filter(cm -> c.species().taproot()
                        && c.species().use().loosens() == 2
                        && c.species().rootDepthM() * 100 > cm)
                .map(cm -> "taproot to " + Said.of(c.species().rootDepthM(), Unit.METRE) + " above drains at "
                        + Said.of(Math.round(cm), Unit.CENTIMETRE));
    }

    static Optional<String> forExperts(Case c) {
        return Reasons.when(
                c.species().use().skill() == Use.Skill.EXPERT, "for experienced growers: try it on a small area first");
    }

    static Optional<String> expensive(Case c) {
        Species s = c.species();
        double perHa = s.use().price().middle() * s.fullRateKgHa().middle();
        return Reasons.when(
                perHa > EXPENSIVE_PER_HA,
                "expensive: the full rate costs about "
                        + Said.of(Math.round(perHa), Unit.MONEY_PER_HA, Use.PRICE_CURRENCY)
                        + " at the library's price of " + Use.PRICE_YEAR);
    }

    static Optional<String> shadedOut(Case c) {
        return Reasons.when(
                c.place().sownInto().isPresent() && c.species().site().shade() == Site.Degree.POOR,
                "bears shade poorly, and it starts under a crop");
    }

    static Optional<String> people(Case c) {
        return c.species().use().cautions().stream()
                .map(id -> c.knowledge().cautions().get(id))
                .filter(k -> k.animals().contains("people"))
                // what is ended before it flowers sets no pods
                .filter(k -> c.flowering() > 0.5)
                .findFirst()
                .map(Caution::text);
    }
}
