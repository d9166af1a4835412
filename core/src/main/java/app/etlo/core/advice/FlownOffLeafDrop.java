package app.etlo.core.advice;

import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Source;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.stream.Stream;

/** A flight that misses the fall of the leaves. */
final class FlownOffLeafDrop extends Judgement {
    private static final long FEWEST_DAYS = 10;
    private static final long MOST_DAYS = 45;

    FlownOffLeafDrop() {
        super(
                "flown-off-leaf-drop",
                Weight.THINK,
                Step.SOW,
                "seed is flown into a crop less than 10 or more than 45 days before its harvest",
                Source.commonPractice(
                        "fly ahead of leaf drop, so that leaves fall on the seed: two to six weeks before harvest"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .filter(c -> c.use().flown())
                .flatMap(c -> c.use().standing().flatMap(CropInTime::harvested).stream()
                        .flatMap(h -> c.sown().stream()
                                .map(d -> ChronoUnit.DAYS.between(d, h))
                                .filter(n -> n < FEWEST_DAYS || n > MOST_DAYS)
                                .filter(n -> standsAt(c))
                                .map(n -> note(
                                        c.id(),
                                        c.sown(),
                                        n < FEWEST_DAYS
                                                ? "Flown on " + n
                                                        + " days before harvest: the leaves are down by then, and the seed lies on them."
                                                : "Flown on " + n
                                                        + " days before harvest: the canopy is still closed, and seedlings die in its shade.",
                                        List.of("flown " + n + " days before harvest"),
                                        "a flight two to six weeks before harvest, when half the leaves are yellow"))));
    }

    /** Before the crop is planted another rule speaks. */
    private static boolean standsAt(Situation.Cover c) {
        return c.use()
                .standing()
                .flatMap(CropInTime::planted)
                .map(p -> c.sown().map(d -> d.isAfter(p)).orElse(false))
                .orElse(true);
    }
}
