package app.etlo.core.plan.document;

import app.etlo.core.mix.SeedLot;
import app.etlo.core.mix.SeedTag;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;

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
                new SeedTag(
                        l.noxious().filter(t -> !t.equalsIgnoreCase(LotEntry.NONE_FOUND)),
                        l.noxious().isPresent(),
                        l.treatedWith(),
                        l.hardiness(),
                        l.stock().map(q -> q.in(Unit.KILOGRAM))));
    }
}
