package app.etlo.core.mix;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.Optional;

/**
 * Pure live seed: the share of what is in the bag that is seed of the kind and alive.
 *
 * <p>PLS = purity x (germination + hard seed). Where the tag's germination already includes hard seed it is not added a
 * second time. Hard seed counts for the tag, not for this season's stand.
 */
final class PureLiveSeed {
    private static final Source TAG =
            Source.commonPractice("seed tag arithmetic of the seed trade (AOSA terms): purity x total viable seed");
    private static final Formula PLS = Formula.of(
            "Pure live seed", "purity / 100 * (germination + hard) / 100 * 100", TAG, "purity", "germination", "hard");
    private static final Formula NOW = Formula.of(
            "Seed that germinates this season", "purity / 100 * germination / 100 * 100", TAG, "purity", "germination");
    /** Where no lot is chosen. */
    private static final SeedLot USUAL = new SeedLot(
            "",
            "",
            "no lot chosen",
            0.98,
            0.85,
            0,
            false,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            false,
            SeedTag.SILENT);

    private PureLiveSeed() {}

    /** Pure live seed on the tag, %. */
    static Figure onTag(String id, Optional<SeedLot> lot) {
        SeedLot l = lot.orElse(USUAL);
        return PLS.figure(
                id,
                "Pure live seed",
                Unit.PERCENT,
                purity(lot, l),
                germination(lot, l),
                Input.of(
                        "hard",
                        "Hard and dormant seed",
                        (l.liveOnTag() - l.germinatesNow()) * 100,
                        Unit.PERCENT,
                        origin(lot),
                        from(l)));
    }

    /** Seed of the bag that germinates this season, %. */
    static Figure thisSeason(String id, Optional<SeedLot> lot) {
        SeedLot l = lot.orElse(USUAL);
        return NOW.figure(id, "Germinates this season", Unit.PERCENT, purity(lot, l), germination(lot, l));
    }

    private static Input purity(Optional<SeedLot> lot, SeedLot l) {
        return Input.of("purity", "Purity", l.purity() * 100, Unit.PERCENT, origin(lot), from(l));
    }

    private static Input germination(Optional<SeedLot> lot, SeedLot l) {
        return Input.of(
                "germination",
                "Germination without hard seed",
                l.germinatesNow() * 100,
                Unit.PERCENT,
                origin(lot),
                from(l));
    }

    private static Origin origin(Optional<SeedLot> lot) {
        return lot.isPresent() ? Origin.MEASURED : Origin.DEFAULT;
    }

    private static String from(SeedLot lot) {
        return lot == USUAL ? "usual value, no lot chosen" : "tag of lot " + lot.label();
    }
}
