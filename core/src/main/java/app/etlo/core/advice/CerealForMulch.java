package app.etlo.core.advice;

import app.etlo.core.knowledge.CoverPurpose;
import app.etlo.core.mix.SeedRate;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** What is sown of cereals that are to be rolled for a mulch: the same species has two right rates. */
final class CerealForMulch {
    static final Source SOURCE = Source.commonPractice(
            "cereal rye: 56 lb/ac as a cover, 140 to 168 lb/ac for a rolled mulch; pure live seed, drilled");
    static final double LEAST_KG_HA = Unit.LB_PER_AC.to(Unit.KG_PER_HA, 140);
    static final double MOST_KG_HA = Unit.LB_PER_AC.to(Unit.KG_PER_HA, 168);
    private static final Set<String> CEREALS = Set.of(
            "cereal-rye",
            "winter-triticale",
            "winter-wheat",
            "winter-barley",
            "spring-oats",
            "spring-barley",
            "black-oats");

    private CerealForMulch() {}

    /** Covers that are rolled, or ranked for a mulch, and hold a cereal. */
    static Stream<Situation.Cover> covers(Situation s) {
        return s.covers().stream().filter(c -> isMulch(c) && sownKgHa(c) > 0);
    }

    static boolean isMulch(Situation.Cover c) {
        return c.use().sownFor().equals(CoverPurpose.MULCH)
                || c.endings().stream().anyMatch(e -> e.method().id().equals("roller-crimper"))
                || c.use().aims().stream().limit(2).anyMatch("mulch"::equals);
    }

    /** Pure live seed of all cereals as if drilled, kg/ha. */
    static double sownKgHa(Situation.Cover c) {
        return c.blend().stream()
                .flatMap(b -> b.rates().stream())
                .filter(r -> CEREALS.contains(r.component().species().id()))
                .mapToDouble(r -> placedKgHa(r) / c.use().rateFactor())
                .sum();
    }

    private static double placedKgHa(SeedRate r) {
        return r.bulkKgHa().middle() * r.pls().middle() / 100;
    }

    /** Share of the full rates that is not cereal; a mix spreads its seed over more. */
    static double othersShare(Situation.Cover c) {
        List<SeedRate> others = c.blend().stream()
                .flatMap(b -> b.rates().stream())
                .filter(r -> !CEREALS.contains(r.component().species().id()))
                .toList();
        return others.stream().mapToDouble(SeedRate::shareOfFull).sum();
    }
}
