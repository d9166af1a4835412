package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** Soaked seed in a machine. */
final class SoakedSeedInDrill extends Judgement {
    SoakedSeedInDrill() {
        super(
                "soaked-seed-in-drill",
                Weight.THINK,
                Step.SOW,
                "the seed is soaked and not sown by hand",
                Source.commonPractice("soaking for hand sowing only: wet seed bridges in a drill"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .filter(c -> c.use().soakedInDrill())
                .map(c -> note(
                        c.id(),
                        c.sown(),
                        "Soaked seed is for sowing by hand: in a box it swells, sticks and bridges, and rows stay empty unseen."
                                + " Sown into dry soil it dies once it has started.",
                        List.of("soaked"),
                        "dry seed, or sowing by hand into moist soil"));
    }
}
