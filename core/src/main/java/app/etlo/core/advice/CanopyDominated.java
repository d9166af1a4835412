package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.Component;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** One species of a mix takes the light from the others, as forecast or as counted in the same mix a season before. */
final class CanopyDominated extends Judgement {
    private static final double MOST_PERCENT = 65;
    /** Of two, one may well lead. */
    private static final double MOST_OF_TWO_PERCENT = 75;

    CanopyDominated() {
        super(
                "canopy-dominated",
                Weight.THINK,
                Step.MIX,
                "one of three or more species is forecast to be over 65 % of the dry tops, one of two over 75 %, or was over that share of"
                        + " the plants counted in an earlier cover of the plan with the same species",
                Source.own("Etlo's own limit on a simple forecast of competition"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.blend().stream()
                        .filter(b -> b.rates().size() > 1)
                        .flatMap(b -> IntStream.range(0, b.rates().size())
                                .mapToObj(i -> judge(s, c, i))
                                .flatMap(Optional::stream)));
    }

    private Optional<Note> judge(Situation s, Situation.Cover c, int i) {
        Species species = c.blend().orElseThrow().rates().get(i).component().species();
        int all = c.blend().orElseThrow().rates().size();
        double most = all > 2 ? MOST_PERCENT : MOST_OF_TWO_PERCENT;
        double forecast = c.outlook()
                .filter(o -> o.parts().size() == all)
                .map(o -> o.standShares().get(i).middle())
                .orElse(0.0);
        Optional<Double> counted = countedPercent(s, c, species);
        if (forecast <= most && counted.filter(p -> p > most).isEmpty()) {
            return Optional.empty();
        }
        List<String> words = new ArrayList<>();
        if (forecast > 0) {
            words.add("is forecast to be " + Math.round(forecast) + " % of the stand");
        }
        counted.ifPresent(p ->
                words.add("was " + Math.round(p) + " % of the plants counted in the same company a season before"));
        return Optional.of(note(
                c.id() + "/" + species.id(),
                c.sown(),
                species.name() + " " + String.join(" and ", words) + ": " + others(c, species) + ".",
                List.of("share of the dry tops " + Math.round(forecast) + " %", "counted " + counted.map(Math::round)),
                "a smaller share of it, or fewer species and their seed saved"));
    }

    private static String others(Situation.Cover c, Species dominant) {
        List<String> rest = c.components().stream()
                .map(Component::species)
                .filter(k -> !k.id().equals(dominant.id()))
                .map(k -> k.name().toLowerCase(Locale.ROOT))
                .toList();
        return rest.size() == 1 ? rest.get(0) + " has little room beside it" : "the others hardly show";
    }

    /** Share of the plants in the last earlier cover in which it was counted beside another of this mix, %. */
    private static Optional<Double> countedPercent(Situation s, Situation.Cover c, Species species) {
        return s.covers().stream()
                .filter(p -> p.sown().isPresent()
                        && c.sown().isPresent()
                        && p.sown().get().isBefore(c.sown().get()))
                .filter(p -> p.countedM2().containsKey(species.id()))
                .max(Comparator.comparing(p -> p.sown().orElseThrow()))
                .flatMap(p -> {
                    Map<String, Double> m2 = p.countedM2();
                    double together = c.components().stream()
                            .mapToDouble(k -> m2.getOrDefault(k.species().id(), 0.0))
                            .sum();
                    boolean beside = c.components().stream()
                                    .filter(k -> m2.containsKey(k.species().id()))
                                    .count()
                            > 1;
                    return beside && together > 0
                            ? Optional.of(100 * m2.get(species.id()) / together)
                            : Optional.empty();
                });
    }
}
