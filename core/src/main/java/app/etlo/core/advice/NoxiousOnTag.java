package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** Listed or resistant weed seed on a tag. */
final class NoxiousOnTag extends Judgement {
    NoxiousOnTag() {
        super(
                "noxious-on-tag",
                Weight.STOP,
                Step.MIX,
                "a lot names listed or herbicide-resistant weeds",
                Source.commonPractice("noxious-weed and seed laws differ by region: the local list rules"),
                "sure");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.components().stream()
                        .flatMap(x -> x.lot().stream()
                                .filter(l -> l.tag().noxious().isPresent())
                                .map(l -> note(
                                        c.id() + "/" + x.species().id(),
                                        c.sown(),
                                        "Lot " + l.label() + " names "
                                                + l.tag().noxious().orElseThrow()
                                                + " on its tag. Do not sow it before the local list is read.",
                                        List.of("weeds on the tag: "
                                                + l.tag().noxious().orElseThrow()),
                                        "another lot"))));
    }
}
