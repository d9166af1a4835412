package app.etlo.core.advice;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** Fertiliser salt beside the seed. */
final class FertiliserBesideSeed extends Judgement {
    private static final double SMALL_G_PER_1000 = 6;

    FertiliserBesideSeed() {
        super(
                "fertiliser-beside-seed",
                Weight.THINK,
                Step.SOW,
                "more N and K2O go in with the seed than opener and rows allow, or more than half of it where seed is small",
                Source.commonPractice("limits of N and K2O with the seed by seedbed used; small seed bears half"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.use().fertiliser().stream().flatMap(f -> {
                    boolean small =
                            c.components().stream().anyMatch(x -> x.species().thousandSeedMassG() < SMALL_G_PER_1000);
                    double most = f.limit().middle() * (small ? 0.5 : 1);
                    return f.kgHa() <= most
                            ? Stream.empty()
                            : Stream.of(note(
                                    c.id(),
                                    c.sown(),
                                    s.say(f.kgHa(), Unit.KG_PER_HA) + " of N and K2O with the seed is above "
                                            + s.say(most, Unit.KG_PER_HA) + " for this opener and row"
                                            + (small ? " with small seed" : "") + "; dry or sandy soil bears half.",
                                    List.of("with the seed " + s.say(f.kgHa(), Unit.KG_PER_HA)),
                                    "less, beside and below the seed, or a wider opener"));
                }));
    }
}
