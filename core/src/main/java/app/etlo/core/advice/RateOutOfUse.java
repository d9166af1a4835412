package app.etlo.core.advice;

import app.etlo.core.knowledge.CoverPurpose;
import app.etlo.core.mix.SeedRate;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** A species sown alone at a rate that none of its sources gives for its purpose. */
final class RateOutOfUse extends Judgement {
    private static final double BELOW = 0.75;
    private static final double ABOVE = 1.25;

    RateOutOfUse() {
        super(
                "rate-out-of-use",
                Weight.THINK,
                Step.MIX,
                "a species alone is sown, as if drilled, at under 75 % of the least or over 125 % of the most that its source gives for"
                        + " what it is sown for; a cereal for a mulch has a note of its own",
                Source.commonPractice("the range of full rates of the library, by purpose"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream().flatMap(c -> of(s, c).stream().map(r -> judge(s, c, r)));
    }

    /** A cover's rate of that kind. */
    static Optional<SeedRate> of(Situation s, Situation.Cover c) {
        return c.components().size() == 1 && CerealForMulch.covers(s).noneMatch(m -> m.id().equals(c.id()))
                ? c.blend().stream()
                        .flatMap(b -> b.rates().stream())
                        .filter(r -> isThin(c, r)
                                || kgHa(c, r) > ABOVE * r.full().kgHa().high())
                        .findFirst()
                : Optional.empty();
    }

    private static double kgHa(Situation.Cover c, SeedRate r) {
        return r.plsKgHa().middle() * c.use().purpose();
    }

    private static boolean isThin(Situation.Cover c, SeedRate r) {
        return kgHa(c, r) < BELOW * r.full().kgHa().low();
    }

    private Note judge(Situation s, Situation.Cover c, SeedRate r) {
        boolean thin = isThin(c, r);
        String name = r.component().species().name();
        String sown = s.sayRound(kgHa(c, r), Unit.KG_PER_HA);
        String purpose = c.use().sownFor().equals(CoverPurpose.COVER)
                ? "a cover"
                : c.use().sownFor().replace('-', ' ');
        return note(
                c.id() + "/" + r.component().species().id(),
                c.sown(),
                sown + " of " + name.toLowerCase(Locale.ROOT) + " drilled is " + (thin ? "less" : "more")
                        + " than a source gives for " + purpose + ": "
                        + Said.span(
                                Math.round(10 * r.full().kgHa().low()) / 10.0,
                                Math.round(10 * r.full().kgHa().high()) / 10.0,
                                Unit.KG_PER_HA)
                        + (thin
                                ? ". It closes late, and weeds come up in it."
                                : ". The plants thin themselves out; the seed is paid for."),
                List.of(
                        r.component().species().id() + " " + sown,
                        "for " + c.use().sownFor()),
                thin ? "more seed, or another purpose" : "less seed, or another purpose");
    }
}
