package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** Treated seed wants gloves and a mask, and none is spilled. */
final class TreatedSeedHandled extends Judgement {
    TreatedSeedHandled() {
        super(
                "treated-seed-handled",
                Weight.TIP,
                Step.SOW,
                "a lot of the mix is treated",
                Source.commonPractice("gloves and dust mask, none spilled, none fed; the tag rules"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.components().stream()
                        .flatMap(x -> x.lot().stream()
                                .filter(l -> l.tag().treatedWith().isPresent())
                                .map(l -> note(
                                        c.id() + "/" + x.species().id(),
                                        c.sown(),
                                        "Lot " + l.label()
                                                + " is treated: gloves and dust mask at the drill, none spilled, no left-over to stock.",
                                        List.of("treated with "
                                                + l.tag().treatedWith().orElseThrow()),
                                        "untreated seed"))));
    }
}
