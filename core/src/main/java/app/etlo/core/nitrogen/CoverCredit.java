package app.etlo.core.nitrogen;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.termination.Stand;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.List;

/**
 * The nitrogen a cover gives to, or takes from, the next crop within a season.
 *
 * <p>Share of the tops' nitrogen released by Vigil and Kissel 1991: -53.44 + 16.98 sqrt(N in g/kg) per cent; zero at
 * 9.905 g/kg, below that the residue ties nitrogen up.
 *
 * <p>What a stand may be credited with depends on its evidence: weighed counts whole; simulated or expected counts half in the middle,
 * nothing in the low and whole in the high value. Tie-up expected counts whole in the middle and low value, since leaving
 * it out would leave the crop short, and nothing in the high one.
 *
 * @param released share of the nitrogen in the tops, %; negative when tied up
 * @param credit kg/ha; negative when tied up
 */
public record CoverCredit(Figure released, Figure credit) implements Figured {
    /** Nitrogen content at which the published rule gives neither release nor tie-up, g/kg. */
    public static final double ZERO_AT_N_G_KG = (53.44 / 16.98) * (53.44 / 16.98);

    private static final Formula RELEASED = Formula.of(
                    "Share of residue nitrogen released in a season",
                    "-53.44 + 16.98 * sqrt(n)",
                    Source.fromMemory("Vigil & Kissel 1991, Soil Science Society of America Journal 55:757"),
                    "n")
            .remarking(
                    "zero at 9.9 g/kg; below it the residue ties nitrogen up. For residue mixed into moist soil: a mulch"
                            + " releases later");
    private static final Formula CREDIT = Formula.of(
                    "Nitrogen from the cover",
                    "tops * released / 100 * evidence",
                    Source.own(
                            "a stand simulated or expected counts none, half, whole; one weighed counts whole; a tie-up"
                                    + " not weighed counts whole"),
                    "tops",
                    "released",
                    "evidence")
            .remarking("nitrogen in roots is left out; non-legumes move nitrogen, they do not make it");

    @Override
    public List<Figure> figures() {
        return List.of(released, credit);
    }

    /** The credit of a stand. */
    public static CoverCredit of(String prefix, Stand stand) {
        Figure released = RELEASED.figure(
                prefix + "/released",
                "Share of the cover's nitrogen released",
                Unit.PERCENT,
                Input.figure("n", stand.nitrogenPercent(), Unit.G_PER_KG));
        Figure credit = CREDIT.figure(
                prefix + "/coverCredit",
                released.middle() < 0 ? "Tied up by the cover" : "From the cover",
                Unit.KG_PER_HA,
                Input.figure("tops", stand.nitrogenInTops()),
                Input.figure("released", released),
                evidence(stand, released.middle() < 0));
        return new CoverCredit(released, credit);
    }

    /** What the evidence of a stand lets count of a release, or of a tie-up. */
    static Input evidence(Stand stand, boolean tieUp) {
        boolean weighed = stand.isWeighed();
        return Input.banded(
                "evidence",
                "What the evidence lets count",
                weighed ? Band.exactly(1) : new Band(0, tieUp ? 1 : 0.5, 1),
                Unit.FRACTION,
                weighed ? Origin.MEASURED : Origin.DEFAULT,
                weighed
                        ? "weighed"
                        : stand.evidence().isPresent() ? "expected, not weighed" : "simulated, not weighed");
    }
}
