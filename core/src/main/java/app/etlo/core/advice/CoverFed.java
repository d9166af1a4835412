package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.Component;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** Nitrogen is given to a mix with legumes: it feeds what stands beside them. */
final class CoverFed extends Judgement {
    CoverFed() {
        super(
                "cover-fed",
                Weight.THINK,
                Step.SOW,
                "nitrogen is given to a mix in which a legume stands beside other species",
                Source.commonPractice("nitrogen favours grasses and brassicas over legumes, which then fix less"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream().filter(c -> c.fedKgHa() > 0).flatMap(c -> {
            List<Species> legumes = c.components().stream()
                    .map(Component::species)
                    .filter(x -> x.group().isLegume())
                    .toList();
            return legumes.isEmpty() || legumes.size() == c.components().size()
                    ? Stream.empty()
                    : Stream.of(note(
                            c.id(),
                            c.sown(),
                            s.say(c.fedKgHa(), Unit.KG_PER_HA)
                                    + " of nitrogen is given to this mix. What is not a legume takes"
                                    + " it first, shades " + names(legumes)
                                    + ", and they fix less. Leave it off where nitrogen is an aim.",
                            List.of("fed " + s.say(c.fedKgHa(), Unit.KG_PER_HA)),
                            "no nitrogen, or a mix without legumes"));
        });
    }

    private static String names(List<Species> legumes) {
        List<String> all = legumes.stream()
                .map(x -> x.name().toLowerCase(java.util.Locale.ROOT))
                .toList();
        int last = all.size() - 1;
        return last == 0 ? all.get(0) : String.join(", ", all.subList(0, last)) + " and " + all.get(last);
    }
}
