package app.etlo.core.mix;

import app.etlo.core.knowledge.Group;
import app.etlo.core.mix.FitnessRule.Case;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import java.util.List;
import java.util.Optional;

/** What the simulation says of a species: whether it comes up, comes to something, and lives as long as it must. */
final class GrowthReasons {
    private static final double MOST_YEARS = 0.5;
    private static final double SEEDS_SOON = 0.3;
    /** From here on a slope loses soil where it is bare (common practice). */
    private static final double STEEP_PERCENT = 6;
    /** Dry tops in a mix that nobody would notice; Etlo's own. */
    private static final double HARDLY_ANY_KG_HA = 50;

    private GrowthReasons() {}

    static Optional<String> cannotEmerge(Case c) {
        double share = c.prospect().emergesShare();
        return Reasons.when(
                share < Reasons.SOME_YEARS,
                "comes up " + Reasons.inOnly(share) + ": the seedbed is too cold or too dry for it");
    }

    private static double useful(Case c) {
        return c.prospect().reaches(UsefulYears.USEFUL_KG_HA);
    }

    static Optional<String> noUsefulStand(Case c) {
        boolean emerges = c.prospect().emergesShare() >= Reasons.SOME_YEARS;
        return Reasons.when(
                !c.beside() && emerges && useful(c) < Reasons.SOME_YEARS,
                "reaches " + Said.of(1, Unit.T_PER_HA) + " " + Reasons.inOnly(useful(c)));
    }

    static Optional<String> rarelyUseful(Case c) {
        double u = useful(c);
        return Reasons.when(
                !c.beside() && u >= Reasons.SOME_YEARS && u < 0.8,
                "reaches " + Said.of(1, Unit.T_PER_HA) + " in " + Reasons.years(u));
    }

    /** Beside others: too late, too cold or too dry for it, or they leave it no light. */
    static Optional<String> addsLittle(Case c) {
        double share = c.prospect().reaches(HARDLY_ANY_KG_HA);
        return Reasons.when(
                c.beside() && c.prospect().emergesShare() >= Reasons.SOME_YEARS && share < MOST_YEARS,
                "beside the others it stays under " + Said.of(HARDLY_ANY_KG_HA, Unit.KG_PER_HA) + " of dry tops in "
                        + Reasons.years(1 - share));
    }

    private static boolean deadBeforeRolling(Case c) {
        boolean rolled = c.place().end().filter(e -> e.method().rolls()).isPresent();
        return rolled && c.prospect().aliveShare() < MOST_YEARS;
    }

    private static boolean onlyMulch(Case c) {
        return c.place().aims().equals(List.of("mulch"));
    }

    /** Where a living mulch is all that is wanted it must live to its end. */
    static Optional<String> winterEndsIt(Case c) {
        return Reasons.when(
                onlyMulch(c) && deadBeforeRolling(c),
                "frost ends it in " + Reasons.years(1 - c.prospect().aliveShare()) + ", and it must live to be rolled");
    }

    /** With other aims beside it, a companion may die if another species carries the mulch. */
    static Optional<String> anotherMustCarry(Case c) {
        return Reasons.when(
                !onlyMulch(c) && deadBeforeRolling(c) && (c.beside() || useful(c) >= Reasons.SOME_YEARS),
                "frost ends it in " + Reasons.years(1 - c.prospect().aliveShare())
                        + ": another species must carry the mulch");
    }

    static Optional<String> willNotWinterkill(Case c) {
        double alive = c.prospect().aliveShare();
        return Reasons.when(
                Reasons.byWinter(c) && alive > 1 - Reasons.SOME_YEARS,
                "lives through winter in " + Reasons.years(alive));
    }

    static Optional<String> winterkillUnsure(Case c) {
        double alive = c.prospect().aliveShare();
        return Reasons.when(
                Reasons.byWinter(c) && alive > 0.1 && alive <= 1 - Reasons.SOME_YEARS,
                "lives through winter in " + Reasons.years(alive) + ": have a second tool ready");
    }

    static Optional<String> seedsBeforeEnd(Case c) {
        double share = c.prospect().seedsShare();
        return Reasons.when(share > SEEDS_SOON, "ripe seed before the end in " + Reasons.years(share));
    }

    /** Where the cover is not left to frost and need not live to be rolled. */
    static Optional<String> diesBefore(Case c) {
        double alive = c.prospect().aliveShare();
        return Reasons.when(
                !Reasons.byWinter(c)
                        && !deadBeforeRolling(c)
                        && c.prospect().emergesShare() >= Reasons.SOME_YEARS
                        && alive < MOST_YEARS,
                "frost ends it in " + Reasons.years(1 - alive) + ", before the day the cover ends");
    }

    static Optional<String> baresSlope(Case c) {
        boolean brittle = c.species().group() != Group.COOL_GRASS && c.species().group() != Group.WARM_GRASS;
        return c.place()
                .slopePercent()
                .filter(p -> p >= STEEP_PERCENT && brittle && c.prospect().aliveShare() < MOST_YEARS)
                .map(p -> "dead in " + Reasons.years(1 - c.prospect().aliveShare())
                        + ", and its remains hold little soil on a slope of " + Math.round(p) + " %");
    }
}
