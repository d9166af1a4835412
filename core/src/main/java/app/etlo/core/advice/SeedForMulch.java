package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** A much raised rate adds little mass. */
final class SeedForMulch extends Judgement {
    SeedForMulch() {
        super(
                "seed-for-mulch",
                Weight.TIP,
                Step.SOW,
                "the factor for a dense mulch is 2 or more",
                Source.commonPractice(
                        "140-168 lb/ac of rye for a rolled mulch: earlier and more even cover, hardly more mass at flowering; sowing date and N do that"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .filter(c -> c.use().purpose() >= 2 && c.blend().isPresent())
                .map(c -> note(
                        c.id(),
                        c.sown(),
                        "More seed closes the stand sooner and more evenly; the mass at flowering comes from an earlier date and"
                                + " nitrogen.",
                        List.of("factor for a mulch " + c.use().purpose()),
                        "an earlier sowing"));
    }
}
