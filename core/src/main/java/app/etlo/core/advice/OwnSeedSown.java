package app.etlo.core.advice;

import app.etlo.core.mix.SeedLot;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** Seed of the farm's own: not free, and not without rules. */
final class OwnSeedSown extends Judgement {
    OwnSeedSown() {
        super(
                "own-seed-sown",
                Weight.TIP,
                Step.MIX,
                "a lot of the mix is own grown, and neither its cleaning nor a price is entered, or it was never tested",
                Source.commonPractice(
                        "own seed: cleaning loses 10-30 %, and it has a test and the price it would sell for; a protected variety may"
                                + " not be sold"),
                "medium");
    }

    private static boolean open(SeedLot l) {
        return l.tag().ownGrown() && (l.price().isEmpty() || l.testedOn().isEmpty());
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.components().stream()
                        .flatMap(k -> k.lot().stream()
                                .filter(OwnSeedSown::open)
                                .map(l -> note(
                                        c.id() + "/" + k.species().id(),
                                        c.sown(),
                                        "Lot " + l.label() + " is own seed"
                                                + (l.testedOn().isEmpty() ? " without a germination test" : "")
                                                + (l.price().isEmpty()
                                                        ? (l.testedOn().isEmpty() ? " and" : "") + " without a price"
                                                        : "")
                                                + ". Cleaning loses 10 to 30 % of it, a test costs little beside a thin stand, and what it"
                                                + " would sell for is its price. A protected variety may not be sold on; the law decides.",
                                        List.of("own seed " + l.id()),
                                        "a test, and the cost of cleaning or a price in the seed store"))));
    }
}
