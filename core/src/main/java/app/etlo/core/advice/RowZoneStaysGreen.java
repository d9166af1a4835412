package app.etlo.core.advice;

import app.etlo.core.mix.SownZone;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** A row zone that does not winterkill. */
final class RowZoneStaysGreen extends Judgement {
    private static final double FEW_YEARS = 0.2;

    RowZoneStaysGreen() {
        super(
                "row-zone-stays-green",
                Weight.THINK,
                Step.MIX,
                "a species sown to the row zones still lives at the end in over 2 years of 10",
                Source.commonPractice(
                        "row zones are left empty or sown to what winter kills, so that rows warm and dry"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.components().stream()
                        .filter(x -> x.zone().id().equals(SownZone.ROW)
                                && c.aliveAtEnd().getOrDefault(x.species().id(), 0.0) > FEW_YEARS)
                        .map(x -> {
                            String share =
                                    Math.round(c.aliveAtEnd().get(x.species().id()) * 10) + " years in 10";
                            return note(
                                    c.id() + "/" + x.species().id(),
                                    c.sown(),
                                    x.species().name() + " in the row zones is alive at the end in " + share
                                            + ": the rows will not be bare, warm and dry by themselves.",
                                    List.of("alive at the end in " + share),
                                    "a species that winter kills, or row zones left empty");
                        }));
    }
}
