package app.etlo.core.advice;

import app.etlo.core.quantity.Unit;
import java.util.List;
import java.util.stream.Stream;

/** A mulch is wanted of a cereal that is sown at the rate of an ordinary cover. */
final class MulchSownThin extends Judgement {
    /** Below this share of what a mulch takes the stand closes late and unevenly. */
    private static final double THIN = 0.8;
    /** Beside so much of others the cereal need not close the stand alone. */
    private static final double MANY_OTHERS = 0.3;

    MulchSownThin() {
        super(
                "mulch-sown-thin",
                Weight.THINK,
                Step.SOW,
                "a cover that is rolled, or has mulch among its first two aims, is mostly a cereal, at under 112 lb/ac",
                CerealForMulch.SOURCE,
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return CerealForMulch.covers(s)
                .filter(c -> CerealForMulch.othersShare(c) < MANY_OTHERS
                        && CerealForMulch.sownKgHa(c) < THIN * CerealForMulch.LEAST_KG_HA)
                .map(c -> {
                    String sown = s.sayRound(CerealForMulch.sownKgHa(c), Unit.KG_PER_HA);
                    return note(
                            c.id(),
                            c.sown(),
                            "As a mulch to plant through, " + sown
                                    + " of cereal seed is the rate of an ordinary cover. For a mulch"
                                    + " that keeps weeds down it is usually sown at "
                                    + s.sayRound(CerealForMulch.LEAST_KG_HA, Unit.KG_PER_HA)
                                            .replaceFirst(" .*", "") + " to "
                                    + s.sayRound(CerealForMulch.MOST_KG_HA, Unit.KG_PER_HA)
                                    + ": an earlier and more even cover, hardly more mass. Dense and tillering before it goes"
                                    + " dormant is what counts.",
                            List.of("cereal seed " + sown),
                            "the mix sown for a rolled mulch (step Mix), or an early sowing that tillers");
                });
    }
}
