package app.etlo.core.advice;

import app.etlo.core.knowledge.Group;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** A grass cover that lives until shortly before a small grain: mites with virus and Hessian fly cross over. */
final class GreenBeforeSmallGrain extends Judgement {
    private static final int DAYS = 14;
    private static final Set<String> SMALL_GRAINS =
            Set.of("winter-wheat", "spring-wheat", "winter-barley", "spring-barley", "oats", "grain-rye");

    GreenBeforeSmallGrain() {
        super(
                "green-before-small-grain",
                Weight.THINK,
                Step.END,
                "a cover with a grass ends less than 14 days before a small grain is planted",
                Source.commonPractice(
                        "volunteers and grass covers dead 2 weeks before a small grain: mites carrying virus, Hessian fly"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream().flatMap(c -> judge(c).stream());
    }

    private Optional<Note> judge(Situation.Cover c) {
        boolean grass = c.components().stream()
                .map(k -> k.species().group())
                .anyMatch(g -> g == Group.COOL_GRASS || g == Group.WARM_GRASS);
        Optional<LocalDate> planted =
                c.next().filter(n -> SMALL_GRAINS.contains(n.crop().id())).flatMap(n -> n.planted());
        Optional<LocalDate> ended = c.end().map(e -> e.date());
        boolean green = planted.isPresent()
                && ended.filter(e -> e.plusDays(DAYS).isAfter(planted.get())).isPresent();
        return grass && green
                ? Optional.of(note(
                        c.id(),
                        ended,
                        "A grass cover is green until shortly before "
                                + c.next().orElseThrow().crop().name().toLowerCase(Locale.ROOT)
                                + ": mites that carry virus, aphids and Hessian fly move over to it. Grass and volunteers are"
                                + " dead two weeks before a small grain is sown.",
                        List.of("ends " + ended.get(), "planted " + planted.get()),
                        "an earlier end, or a later planting"))
                : Optional.empty();
    }
}
