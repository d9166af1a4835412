package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** Treated seed in a cover that stock will eat. */
final class TreatedSeedFed extends Judgement {
    TreatedSeedFed() {
        super(
                "treated-seed-fed",
                Weight.STOP,
                Step.MIX,
                "a lot is treated and the cover is to be grazed or fed",
                Source.commonPractice("treated seed is not feed; the tag and the label rule"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.components().stream()
                        .flatMap(x -> x.lot().stream()
                                .filter(l ->
                                        c.use().fed() && l.tag().treatedWith().isPresent())
                                .map(l -> note(
                                        c.id() + "/" + x.species().id(),
                                        c.sown(),
                                        "Lot " + l.label() + " is treated with "
                                                + l.tag().treatedWith().orElseThrow()
                                                + ", and stock will graze this cover. The tag says whether and when that is allowed.",
                                        List.of("treated with "
                                                + l.tag().treatedWith().orElseThrow()),
                                        "untreated seed, or no grazing; the label decides"))));
    }
}
