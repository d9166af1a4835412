package app.etlo.core.advice;

import app.etlo.core.quantity.Unit;
import java.util.List;
import java.util.stream.Stream;

/** More cereal seed for a mulch than any source asks for. */
final class MulchSownThick extends Judgement {
    private static final double THICK = 1.15;

    MulchSownThick() {
        super(
                "mulch-sown-thick",
                Weight.THINK,
                Step.SOW,
                "a cover that is rolled, or has mulch among its first two aims, takes over 193 lb/ac of cereal seed",
                CerealForMulch.SOURCE,
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return CerealForMulch.covers(s)
                .filter(c -> CerealForMulch.sownKgHa(c) > THICK * CerealForMulch.MOST_KG_HA)
                .map(c -> {
                    double sownKgHa = CerealForMulch.sownKgHa(c);
                    String sown = s.sayRound(sownKgHa, Unit.KG_PER_HA);
                    return note(
                            c.id(),
                            c.sown(),
                            sown + " of cereal seed is more than a rolled mulch is sown with: "
                                    + s.sayRound(CerealForMulch.LEAST_KG_HA, Unit.KG_PER_HA)
                                            .replaceFirst(" .*", "") + " to "
                                    + s.sayRound(CerealForMulch.MOST_KG_HA, Unit.KG_PER_HA)
                                    + ".",
                            List.of("cereal seed " + sown),
                            "shares or factors that come to " + Math.round(100 * CerealForMulch.MOST_KG_HA / sownKgHa)
                                    + " % of this");
                });
    }
}
