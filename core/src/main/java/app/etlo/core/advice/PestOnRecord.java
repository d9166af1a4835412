package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** A pest or disease that this field has had, and a species of a mix that keeps it. */
final class PestOnRecord extends Judgement {
    PestOnRecord() {
        super(
                "pest-on-record",
                Weight.THINK,
                Step.MIX,
                "a species of the mix is a host of a pest or disease entered for the field (slugs have a note of their own)",
                Source.commonPractice("host lists of the species library; the field's own record"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.field().pests().stream()
                .filter(p -> !p.isSlugs())
                .flatMap(p -> s.covers().stream()
                        .flatMap(c -> c.components().stream()
                                .map(k -> k.species())
                                .filter(k -> hosts(k, p))
                                .map(k -> note(
                                        c.id() + "/" + k.id(),
                                        c.sown(),
                                        k.name() + " is a host of " + p.name().toLowerCase(Locale.ROOT)
                                                + ", which this field has had" + p.when()
                                                + ": the cover keeps it alive"
                                                + c.next()
                                                        .map(n -> " until "
                                                                + n.crop()
                                                                        .name()
                                                                        .toLowerCase(Locale.ROOT)
                                                                + " follows")
                                                        .orElse("")
                                                + ".",
                                        List.of(k.id() + " hosts " + p.name()),
                                        "a species that is no host of it"))));
    }

    static boolean hosts(Species k, FieldFacts.Pest p) {
        return k.use().hosts().stream().anyMatch(p::isLike);
    }
}
