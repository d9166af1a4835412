package app.etlo.core.advice;

import app.etlo.core.nitrogen.CoverCredit;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** The cover is so poor in nitrogen that it takes some from the crop. */
final class TieUpExpected extends Judgement {
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
                .flatMap(c -> c.credit().stream()
                        .flatMap(credit -> c.stand().stream()
                                .filter(st -> st.nitrogenPercent().in(Unit.G_PER_KG) < CoverCredit.ZERO_AT_N_G_KG)
                                .map(st -> note(
                                        c.next().map(n -> n.id()).orElse(c.id()),
                                        c.end().map(e -> e.date()),
                                        "At "
                                                + Shown.text(
                                                        st.nitrogenPercent().middle(), Unit.PERCENT)
                                                + " % N the residue ties nitrogen up: about "
                                                + s.say(-credit.credit().value().low(), Unit.KG_PER_HA)
                                                + " is taken from the crop. Place nitrogen beside the row at planting.",
                                        List.of("N content "
                                                + Shown.text(
                                                        st.nitrogenPercent().middle(), Unit.PERCENT) + " %"),
                                        "an earlier end, or a legume in the mix"))));
    }
}
