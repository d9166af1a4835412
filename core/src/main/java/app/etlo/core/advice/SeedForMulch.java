package app.etlo.core.advice;

import app.etlo.core.knowledge.CoverPurpose;
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
                "the factor for a dense mulch is 2 or more, or a cereal is sown at the rates of a rolled mulch",
                Source.commonPractice(
                        "140-168 lb/ac of rye for a rolled mulch: earlier and more even cover, hardly more mass at flowering; sowing date and N do that"),
                "medium");
    }

    private static boolean forMulch(Situation.Cover c) {
        return c.use().sownFor().equals(CoverPurpose.MULCH) && CerealForMulch.sownKgHa(c) >= CerealForMulch.LEAST_KG_HA;
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .filter(c -> c.blend().isPresent() && (c.use().purpose() >= 2 || forMulch(c)))
                .map(c -> note(
                        c.id(),
                        c.sown(),
                        "More seed closes the stand sooner and more evenly; the mass at flowering comes from an earlier date and"
                                + " nitrogen.",
                        List.of(
                                "factor for a mulch " + c.use().purpose(),
                                "sown for " + c.use().sownFor()),
                        "an earlier sowing"));
    }
}
