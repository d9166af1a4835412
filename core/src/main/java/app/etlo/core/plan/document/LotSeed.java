package app.etlo.core.plan.document;

import app.etlo.core.mix.SeedLot;
import app.etlo.core.mix.SeedStorage;
import app.etlo.core.mix.SeedTag;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.util.Optional;

/** A lot of the store as the arithmetic of rates takes it. */
public final class LotSeed {
    private LotSeed() {}

    private static Quantity sum(Quantity a, Quantity b) {
        return new Quantity(a.value() + b.in(a.unit()), a.unit());
    }

    public static SeedLot of(LotEntry l) {
        return new SeedLot(
                l.id(),
                l.species(),
                l.label(),
                l.purityPercent() / 100,
                l.germinationPercent() / 100,
                (l.hardSeedPercent().orElse(0.0) + l.dormantPercent().orElse(0.0)) / 100,
                l.germinationIncludesHardSeed().orElse(false),
                l.seedCount().map(q -> q.in(Unit.PER_KG)),
                l.testedOn(),
                l.price()
                        .map(p -> l.cleaningCost().map(k -> sum(p, k)).orElse(p))
                        .or(l::cleaningCost),
                l.bagSize(),
                l.inoculated().orElse(false),
                tag(l));
    }

    private static SeedTag tag(LotEntry l) {
        return new SeedTag(
                l.noxious().filter(t -> !t.equalsIgnoreCase(LotEntry.NONE_FOUND)),
                l.noxious().isPresent(),
                l.treatedWith(),
                l.hardiness(),
                l.stock().map(q -> q.in(Unit.KILOGRAM)),
                l.weedSeedPercent().orElse(0.0) / 100,
                l.inoculantUseBy(),
                SeedStorage.agesBy(l.storedAt().map(q -> q.in(Unit.CELSIUS)), l.moisturePercent()),
                l.ownGrown().orElse(false));
    }

    /**
     * One species of a ready-made bag, as a lot of its own: the bag's purity, its own germination. Its price is the bag's; whole bags
     * are counted for the bag and not for each part.
     *
     * @param perKg what a kilogram costs in whole bags; the bag's price where empty
     */
    public static SeedLot part(LotEntry bag, LotEntry.PartEntry part, Optional<Quantity> perKg) {
        double pure = bag.parts().orElseThrow().stream()
                .mapToDouble(LotEntry.PartEntry::percent)
                .sum();
        return new SeedLot(
                bag.id(),
                part.species(),
                bag.label(),
                pure / 100,
                part.germinationPercent() / 100,
                part.hardSeedPercent().orElse(0.0) / 100,
                false,
                Optional.empty(),
                bag.testedOn(),
                perKg.or(bag::price),
                Optional.empty(),
                bag.inoculated().orElse(false),
                tag(bag));
    }
}
