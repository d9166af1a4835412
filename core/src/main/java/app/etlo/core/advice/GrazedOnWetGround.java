package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** A cover is grazed off on ground that drains poorly, and the next crop is planted without tillage. */
final class GrazedOnWetGround extends Judgement {
    GrazedOnWetGround() {
        super(
                "grazed-on-wet-ground",
                Weight.THINK,
                Step.ROTATION,
                "a cover is ended by grazing on poorly drained ground ahead of a crop planted without tillage",
                Source.commonPractice("treading on wet ground leaves a shallow pan for a year or more"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        boolean wet = s.field().drainage().map(d -> d.contains("poorly")).orElse(false);
        return s.covers().stream()
                .filter(c -> wet && c.end().map(e -> e.method().grazes()).orElse(false))
                .flatMap(c -> c.next().stream()
                        .filter(n ->
                                s.untilled().contains(n.id()) && n.planted().isPresent())
                        .map(n -> note(
                                n.id() + "/" + c.id(),
                                c.end().map(e -> e.date()),
                                "The cover is grazed on ground that drains poorly, and "
                                        + n.crop().name().toLowerCase(Locale.ROOT)
                                        + " follows without tillage. What is trodden tight stays so into the crops after.",
                                List.of("grazed " + c.id(), s.field().drainage().orElse("")),
                                "grazing on dry or frozen ground, taking half and moving on, or another end")));
    }
}
