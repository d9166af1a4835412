package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** A spring kind of a species that comes in both. */
final class HardinessOfLot extends Judgement {
    private static final Set<String> WINTER = Set.of("hairy-vetch", "winter-pea", "winter-barley", "winter-triticale");

    private static boolean wrong(String species, java.util.Optional<String> hardiness) {
        return hardiness
                .filter(h -> WINTER.contains(species) && !h.equals("winter"))
                .isPresent();
    }

    HardinessOfLot() {
        super(
                "hardiness-of-lot",
                Weight.THINK,
                Step.MIX,
                "a lot of hairy vetch, winter pea, winter barley or winter triticale is not of the winter class",
                Source.commonPractice("winter hardiness differs by kind: vetch, pea and barley"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.components().stream()
                        .flatMap(x -> x.lot().stream()
                                .filter(l -> wrong(x.species().id(), l.tag().hardiness()))
                                .map(l -> note(
                                        c.id() + "/" + x.species().id(),
                                        c.sown(),
                                        "Lot " + l.label() + " is of the "
                                                + l.tag().hardiness().orElseThrow() + " class: "
                                                + x.species().name().toLowerCase(java.util.Locale.ROOT)
                                                + " must pass a winter.",
                                        List.of("hardiness "
                                                + l.tag().hardiness().orElse("not said")),
                                        "a lot of the winter class"))));
    }
}
