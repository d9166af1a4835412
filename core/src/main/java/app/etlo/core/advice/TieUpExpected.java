package app.etlo.core.advice;

import app.etlo.core.nitrogen.CoverCredit;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** The cover is so poor in nitrogen that it takes some from the crop. */
final class TieUpExpected extends Judgement {
    /** Less is within the error of any rule of release. */
    private static final double LITTLE_KG_HA = 5;

    TieUpExpected() {
        super(
                "tie-up-expected",
                Weight.THINK,
                Step.FEED,
                "the nitrogen content of the tops lies below the zero of the release rule (9.9 g/kg)",
                Source.fromMemory("Vigil & Kissel 1991, Soil Science Society of America Journal 55:757"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                // one note for one matter: the simulation says when, and how much
                .filter(c -> NitrogenShortEarly.of(c).isEmpty())
                .flatMap(c -> c.credit().stream()
                        .flatMap(credit -> c.stand().stream()
                                .filter(st -> st.nitrogenPercent().in(Unit.G_PER_KG) < CoverCredit.ZERO_AT_N_G_KG)
                                .map(st -> note(
                                        c.next().map(n -> n.id()).orElse(c.id()),
                                        c.end().map(e -> e.date()),
                                        "At "
                                                + Shown.text(
                                                        st.nitrogenPercent().middle(), Unit.PERCENT)
                                                + " % N the residue ties nitrogen up: "
                                                + taken(
                                                        s,
                                                        -credit.credit().value().low())
                                                + ". Place nitrogen beside the row at planting.",
                                        List.of("N content "
                                                + Shown.text(
                                                        st.nitrogenPercent().middle(), Unit.PERCENT) + " %"),
                                        "an earlier end, or a legume in the mix"))));
    }

    /** Over a whole season the rule gives little; most of it is missed while the residue first rots. */
    private static String taken(Situation s, double kgHa) {
        return kgHa < LITTLE_KG_HA
                ? "over the season under " + s.sayRound(LITTLE_KG_HA, Unit.KG_PER_HA)
                        + ", more in the first weeks, when the crop is small"
                : "about " + s.say(kgHa, Unit.KG_PER_HA) + " is taken from the crop";
    }
}
