package app.etlo.core.advice;

import app.etlo.core.knowledge.Caution;
import app.etlo.core.mix.Component;
import app.etlo.core.mix.MixPlace;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A species that can harm the stock that will eat it. */
final class HarmsStock extends Judgement {
    HarmsStock() {
        super(
                "harms-stock",
                Weight.STOP,
                Step.MIX,
                "the cover is to be grazed or fed and a species carries a caution for the stock kept, or for any stock while none is entered",
                Source.commonPractice(
                        "let stock in full, on a quarter of the field; test the forage first; the veterinarian decides. Etlo never says safe"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .filter(c -> c.use().fed())
                .flatMap(c -> c.use().stockKnown() ? bySpecies(c) : unknownStock(c).stream());
    }

    private Stream<Note> bySpecies(Situation.Cover c) {
        return c.components().stream()
                .filter(x -> !cautions(c, x).isEmpty())
                .map(x -> note(
                        c.id() + "/" + x.species().id(),
                        eaten(c),
                        x.species().name() + ": "
                                + cautions(c, x).stream().map(Caution::text).collect(Collectors.joining(" "))
                                + " Test the forage and ask the veterinarian.",
                        cautions(c, x).stream().map(Caution::name).toList(),
                        "another species, or no grazing"));
    }

    /** One note for the whole mix: until it is known which stock eat it, every caution for any of them counts. */
    private Optional<Note> unknownStock(Situation.Cover c) {
        List<String> which = c.components().stream()
                .filter(x -> !cautions(c, x).isEmpty())
                .map(x -> x.species().name() + " ("
                        + cautions(c, x).stream()
                                .map(k -> k.name().toLowerCase(Locale.ROOT) + ", "
                                        + String.join(
                                                " and ",
                                                k.animals().stream()
                                                        .filter(MixPlace.ANIMALS::contains)
                                                        .toList()))
                                .collect(Collectors.joining("; "))
                        + ")")
                .toList();
        return which.isEmpty()
                ? Optional.empty()
                : Optional.of(note(
                                c.id() + "/stock",
                                eaten(c),
                                "Stock are to eat this mix, and which is not entered. It can harm some: "
                                        + String.join(", ", which)
                                        + ". Enter the stock, test the forage and ask the veterinarian.",
                                which,
                                "the stock that have access, other species, or no grazing")
                        .asking(MissingFact.Kind.LIVESTOCK, ""));
    }

    /** From when on it counts: the first day stock are in, else from sowing on. */
    private static Optional<LocalDate> eaten(Situation.Cover c) {
        return c.facts().grazed().stream()
                .map(EndFacts.Grazed::on)
                .min(Comparator.naturalOrder())
                .or(c::sown);
    }

    private static List<Caution> cautions(Situation.Cover c, Component x) {
        return c.use().cautions().getOrDefault(x.species().id(), List.of());
    }
}
