package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A species so few of whose seeds are in the mix that it will hardly be seen. */
final class HardlySeen extends Judgement {
    static final double FEWEST_PERCENT = 2;

    HardlySeen() {
        super(
                "hardly-seen",
                Weight.TIP,
                Step.MIX,
                "a species is under 2 % of the live seeds of its mix",
                Source.own("Etlo's own limit; large-seeded species make up for part of it by vigour"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.blend().stream()
                        .flatMap(b -> IntStream.range(0, b.rates().size())
                                .filter(i -> b.seedShares().get(i).middle() < FEWEST_PERCENT)
                                .mapToObj(i -> note(
                                        c.id() + "/"
                                                + b.rates()
                                                        .get(i)
                                                        .component()
                                                        .species()
                                                        .id(),
                                        c.sown(),
                                        b.rates().get(i).component().species().name() + " is "
                                                + Shown.text(
                                                        b.seedShares().get(i).middle(), Unit.PERCENT)
                                                + " % of the seeds: it will hardly be seen.",
                                        List.of("share of seeds "
                                                + Shown.text(
                                                        b.seedShares().get(i).middle(), Unit.PERCENT) + " %"),
                                        "a larger share, or leave it out and save its cost"))));
    }
}
