package app.etlo.core.advice;

import app.etlo.core.mix.MixOutlook;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** One species of a mix takes the light from the others. */
final class CanopyDominated extends Judgement {
    private static final double MOST_PERCENT = 65;

    private Note dominated(Situation.Cover c, MixOutlook o, int i) {
        var species = c.blend().orElseThrow().rates().get(i).component().species();
        String share = Math.round(o.standShares().get(i).middle()) + " %";
        return note(
                c.id() + "/" + species.id(),
                c.sown(),
                species.name() + " is forecast to be " + share + " of the stand: the others hardly show.",
                List.of("share of the dry tops " + share),
                "a smaller share of it, or fewer species and their seed saved");
    }

    CanopyDominated() {
        super(
                "canopy-dominated",
                Weight.THINK,
                Step.MIX,
                "one of three or more species is forecast to be over 65 % of the dry tops",
                Source.own("Etlo's own limit on a simple forecast of competition"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.outlook().stream()
                        .filter(o -> o.parts().size() >= 3)
                        .flatMap(o -> IntStream.range(0, o.parts().size())
                                .filter(i -> o.standShares().get(i).middle() > MOST_PERCENT)
                                .mapToObj(i -> dominated(c, o, i))));
    }
}
