package app.etlo.core.advice;

import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.nitrogen.LedgerLine;
import app.etlo.core.nitrogen.LedgerLine.Kind;
import app.etlo.core.nitrogen.SupplyAndUptake;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Much nitrogen lies in the soil before the crop, much is left behind it, and no test of it is in the ledger. */
final class NitrateNotTested extends Judgement {
    private static final double BEFORE_KG_HA = 40;
    private static final double LEFT_KG_HA = 60;
    /** So much is too much whatever lay there before. */
    private static final double MUCH_LEFT_KG_HA = 80;
    /** A test before side-dressing comes no later. */
    private static final int LATEST_DAYS = 60;

    private static final Set<Kind> TESTS = Set.of(Kind.SOIL_TEST, Kind.SIDE_DRESS_TEST);

    NitrateNotTested() {
        super(
                "nitrate-not-tested",
                Weight.THINK,
                Step.FEED,
                "fed as planned or assumed, a crop is simulated to leave 80 kg/ha of mineral nitrogen or more in the top 60 cm, or 60 where 40"
                        + " lay there before it was planted, and no nitrate test of the season is entered",
                Source.commonPractice(
                        "a nitrate test before planting decides in dry places and behind bare ground; in wet ones a test before side-dressing"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.crops().stream()
                .flatMap(c -> Optional.ofNullable(s.feed().get(c.id())).stream().flatMap(f -> judge(s, c, f).stream()));
    }

    private Optional<Note> judge(Situation s, CropInTime crop, FeedResult feed) {
        Optional<SupplyAndUptake> supply = feed.supply().filter(x -> x.fedKgHa() > 0 && !isTested(feed));
        boolean open = crop.planted()
                .filter(d -> !d.plusDays(LATEST_DAYS).isBefore(s.asOf()))
                .isPresent();
        return supply.filter(x -> open)
                .flatMap(SupplyAndUptake::leftKgHa)
                .filter(left -> left.middle() >= (isMuch(supply.orElseThrow()) ? LEFT_KG_HA : MUCH_LEFT_KG_HA))
                .map(left -> note(
                        crop.id(),
                        crop.planted(),
                        words(s, supply.orElseThrow(), left),
                        List.of("left " + s.sayRound(left.middle(), Unit.KG_PER_HA)),
                        "a nitrate test before planting or side-dressing"));
    }

    private static boolean isMuch(SupplyAndUptake supply) {
        return supply.beforeKgHa().middle() >= BEFORE_KG_HA;
    }

    private static boolean isTested(FeedResult feed) {
        return feed.ledger().counted().stream().map(LedgerLine::kind).anyMatch(TESTS::contains);
    }

    private static String words(Situation s, SupplyAndUptake supply, Band left) {
        String depth = s.sayRound(60, Unit.CENTIMETRE);
        String fed = s.sayRound(supply.fedKgHa(), Unit.KG_PER_HA);
        String leaves = s.sayRound(left.middle(), Unit.KG_PER_HA)
                + " is left there when the crop has taken up what it takes: paid for, and lost when the soil drains. ";
        return isMuch(supply)
                ? "About " + s.sayRound(supply.beforeKgHa().middle(), Unit.KG_PER_HA)
                        + " of mineral nitrogen is simulated to lie in the top " + depth + " before planting, and, fed "
                        + fed
                        + ", about " + leaves
                        + "The ledger does not count it, since nobody has seen it: a nitrate test to that depth decides how much less to buy."
                : "Fed " + fed + ", the crop is simulated to leave much in the top " + depth + ": about " + leaves
                        + "The soil frees a part of what it needs while it grows, or it does not grow into that rate: look at its goal and its"
                        + " water, and test before the second split.";
    }
}
