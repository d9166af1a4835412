package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** A crop that bears residue poorly is planted into it. */
final class PoorUnderMulch extends Judgement {
    PoorUnderMulch() {
        super(
                "poor-under-mulch",
                Weight.THINK,
                Step.PLANT,
                "a crop that bears residue poorly is planted without tillage behind a cover",
                Source.commonPractice("small-seeded crops need a firm, fine and clean row"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.next().stream()
                        .filter(n -> n.crop().growing().mulchTolerance().equals("poor"))
                        .filter(n -> s.untilled().contains(n.id()))
                        .filter(n -> n.planted().isPresent() && c.sown().isPresent())
                        .map(n -> note(
                                n.id(),
                                n.planted(),
                                n.crop().name() + " bears planting through residue poorly: it needs a clean, firm row.",
                                List.of(n.crop().id() + " no-till behind " + c.id()),
                                "a strip cleared ahead of it, or a species that winterkills in the row")));
    }
}
