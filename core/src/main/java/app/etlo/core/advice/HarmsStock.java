package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A species that can harm the stock that will eat it. */
final class HarmsStock extends Judgement {
    HarmsStock() {
        super(
                "harms-stock",
                Weight.STOP,
                Step.MIX,
                "the cover is to be grazed or fed and a species carries a caution for the stock kept",
                Source.commonPractice(
                        "let stock in full, on a quarter of the field; test the forage first; the veterinarian decides. Etlo never says safe"),
                "fair");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .filter(c -> c.use().fed())
                .flatMap(c -> c.components().stream()
                        .filter(x -> !c.use()
                                .cautions()
                                .getOrDefault(x.species().id(), List.of())
                                .isEmpty())
                        .map(x -> note(
                                c.id() + "/" + x.species().id(),
                                c.sown(),
                                x.species().name() + ": "
                                        + c.use().cautions().get(x.species().id()).stream()
                                                .map(k -> k.text())
                                                .collect(Collectors.joining(" "))
                                        + " Test the forage and ask the veterinarian.",
                                c.use().cautions().get(x.species().id()).stream()
                                        .map(k -> k.name())
                                        .toList(),
                                "another species, or no grazing")));
    }
}
