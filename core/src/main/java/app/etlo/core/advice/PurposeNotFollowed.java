package app.etlo.core.advice;

import app.etlo.core.knowledge.CoverPurpose;
import app.etlo.core.knowledge.TerminationMethod.Means;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The seed rate is that of one purpose, and what is planned afterwards is another. */
final class PurposeNotFollowed extends Judgement {
    PurposeNotFollowed() {
        super(
                "purpose-not-followed",
                Weight.THINK,
                Step.MIX,
                "a cover is sown for a rolled mulch and tilled in, for forage and no stock eats it, or for seed and ended",
                Source.commonPractice("the seed rate follows from what the cover is for"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> said(c)
                        .map(text -> note(
                                c.id(),
                                c.end().map(e -> e.date()),
                                text,
                                List.of("sown for " + c.use().sownFor()),
                                "another purpose in the step Mix, or another end"))
                        .stream());
    }

    private static Optional<String> said(Situation.Cover c) {
        boolean ended = !c.endings().isEmpty();
        boolean tilled =
                ended && c.endings().stream().allMatch(e -> e.method().means().contains(Means.TILLING));
        return switch (c.use().sownFor()) {
            case CoverPurpose.MULCH ->
                tilled
                        ? Optional.of(
                                "The mix is sown at the rates of a rolled mulch and tilled in: the seed above an ordinary rate"
                                        + " buys nothing.")
                        : Optional.empty();
            case CoverPurpose.FORAGE ->
                ended && !c.use().fed()
                        ? Optional.of(
                                "The mix is sown at the rates of forage, and neither grazing nor the aim to feed stock is"
                                        + " planned.")
                        : Optional.empty();
            case CoverPurpose.SEED ->
                ended
                        ? Optional.of(
                                "The mix is sown thin, for seed, and ended as a cover: it closes late and lets weeds in. A crop"
                                        + " kept for seed stands until it is ripe, 200 m from other rye where it is rye (7 CFR 201.76), and"
                                        + " leaves volunteers.")
                        : Optional.empty();
            default -> Optional.empty();
        };
    }
}
