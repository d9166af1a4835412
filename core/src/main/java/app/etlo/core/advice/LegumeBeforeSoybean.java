package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A legume in a cover ahead of soybean: disputed, and what the field has had decides. */
final class LegumeBeforeSoybean extends Judgement {
    private static final List<String> SEEDLING_PESTS = List.of(
            "seedcorn maggot",
            "root rot",
            "nematode",
            "pythium",
            "phytophthora",
            "rhizoctonia",
            "fusarium",
            "white mould",
            "sclerotinia",
            "wireworm");

    LegumeBeforeSoybean() {
        super(
                "legume-before-soybean",
                Weight.THINK,
                Step.MIX,
                "a legume stands in a cover ahead of soybean",
                Source.commonPractice("out where seedling pests are on record, else a small share; disputed"),
                "low");
    }

    static boolean isSoybean(Situation.Cover c) {
        return c.next().filter(n -> n.crop().id().equals("soybean")).isPresent();
    }

    @Override
    public Stream<Note> judge(Situation s) {
        List<String> seen = s.field().pests().stream()
                .filter(p -> SEEDLING_PESTS.stream().anyMatch(p::isLike))
                .map(p -> p.name().toLowerCase(Locale.ROOT) + p.when())
                .toList();
        return s.covers().stream().filter(LegumeBeforeSoybean::isSoybean).flatMap(c -> {
            List<Species> legumes = c.components().stream()
                    .map(k -> k.species())
                    .filter(k -> k.group().isLegume())
                    .toList();
            if (legumes.isEmpty()) {
                return Stream.empty();
            }
            String names =
                    legumes.stream().map(k -> k.name().toLowerCase(Locale.ROOT)).collect(Collectors.joining(", "));
            return Stream.of(note(
                    c.id() + "/" + legumes.get(0).id(),
                    c.sown(),
                    "A legume ahead of soybean (" + names
                            + ") is disputed: it shares soybean's seedling pests, root rots and"
                            + " nematodes, and soybean has little use for its nitrogen. What decides is the field's record: "
                            + (seen.isEmpty()
                                    ? "nothing of that kind is entered, so a small share beside a grass is what its friends"
                                            + " sow; enter what the field has had in the step Field."
                                    : "it has had " + String.join(", ", seen) + ", so leave the legume out here."),
                    List.of("legumes before soybean " + names, "record " + seen),
                    "the legume left out, or a small share of it"));
        });
    }
}
