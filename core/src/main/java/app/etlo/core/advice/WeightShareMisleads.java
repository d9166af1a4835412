package app.etlo.core.advice;

import app.etlo.core.mix.Blend;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A small seed that is little of the bag and much of the plants. */
final class WeightShareMisleads extends Judgement {
    private static boolean misleads(Blend b, int i) {
        double seeds = b.seedShares().get(i).middle();
        return b.rates().size() > 1 && seeds > 30 && b.weightShares().get(i).middle() <= 0.4 * seeds;
    }

    WeightShareMisleads() {
        super(
                "weight-share-misleads",
                Weight.TIP,
                Step.MIX,
                "a species is over 30 % of the live seeds and at most two fifths of that by weight",
                Source.commonPractice(
                        "weight share is not plant share: 1 kg of phacelia is five times the plants of 3 kg of buckwheat"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.blend().stream()
                        .flatMap(b -> IntStream.range(0, b.rates().size())
                                .filter(i -> misleads(b, i))
                                .mapToObj(i -> note(
                                        c.id() + "/"
                                                + b.rates()
                                                        .get(i)
                                                        .component()
                                                        .species()
                                                        .id(),
                                        c.sown(),
                                        b.rates().get(i).component().species().name() + " is "
                                                + Math.round(
                                                        b.weightShares().get(i).middle())
                                                + " % of the bag and "
                                                + Math.round(
                                                        b.seedShares().get(i).middle())
                                                + " % of the plants to come.",
                                        List.of("share of seeds "
                                                + Math.round(
                                                        b.seedShares().get(i).middle()) + " %"),
                                        "less of it, if it is meant as a companion"))));
    }
}
