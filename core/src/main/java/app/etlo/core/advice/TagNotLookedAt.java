package app.etlo.core.advice;

import app.etlo.core.mix.SeedLot;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Lots whose tags nobody looked at for listed weeds. */
final class TagNotLookedAt extends Judgement {
    TagNotLookedAt() {
        super(
                "tag-not-looked-at",
                Weight.TIP,
                Step.MIX,
                "nothing is said of listed or resistant weeds on the tag of a lot in the mix",
                Source.commonPractice("read the weed seed line of the tag before buying"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .filter(c -> !unread(c).isEmpty())
                .map(c -> note(
                        c.id(),
                        c.sown(),
                        "Nothing is said of listed or resistant weeds on the tags of " + unread(c)
                                + ": read them before sowing.",
                        List.of("tags not read: " + unread(c)),
                        "what the tag names, or none found"));
    }

    private static String unread(Situation.Cover c) {
        return c.components().stream()
                .flatMap(x -> x.lot().stream())
                .filter(l -> !l.tag().lookedAt())
                .map(SeedLot::label)
                .collect(Collectors.joining(", "));
    }
}
