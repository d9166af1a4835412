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
    private static final Set<Kind> TESTS = Set.of(Kind.SOIL_TEST, Kind.SIDE_DRESS_TEST);

    NitrateNotTested() {
        super(
                "nitrate-not-tested",
                Weight.THINK,
                Step.FEED,
                "fed as planned or assumed, a crop is simulated to leave 60 kg/ha of mineral nitrogen or more in the top 60 cm, 40 or more lay"
                        + " there before it was planted, and no nitrate test of the season is entered",
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
        Optional<SupplyAndUptake> supply = feed.supply()
                .filter(x -> x.fedKgHa() > 0 && x.beforeKgHa().middle() >= BEFORE_KG_HA && !isTested(feed));
        return supply.flatMap(SupplyAndUptake::leftKgHa)
                .filter(left -> left.middle() >= LEFT_KG_HA)
                .map(left -> note(
                        crop.id(),
                        crop.planted(),
                        words(s, supply.orElseThrow(), left),
                        List.of("left " + s.sayRound(left.middle(), Unit.KG_PER_HA)),
                        "a nitrate test before planting or side-dressing"));
    }

    private static boolean isTested(FeedResult feed) {
        return feed.ledger().counted().stream().map(LedgerLine::kind).anyMatch(TESTS::contains);
    }

    private static String words(Situation s, SupplyAndUptake supply, Band left) {
        String depth = s.sayRound(60, Unit.CENTIMETRE);
        return "About " + s.sayRound(supply.beforeKgHa().middle(), Unit.KG_PER_HA)
                + " of mineral nitrogen is simulated to lie in the top " + depth + " before planting, and, fed "
                + s.sayRound(supply.fedKgHa(), Unit.KG_PER_HA) + ", about "
                + s.sayRound(left.middle(), Unit.KG_PER_HA)
                + " when the crop has taken up what it takes: paid for, and lost when the soil drains. The ledger does not count it, since"
                + " nobody has seen it: a nitrate test to that depth decides how much less to buy.";
    }
}
