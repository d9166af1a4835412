package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** Too few legumes, or too many. */
final class LegumeShare extends Judgement {
    LegumeShare() {
        super(
                "legume-share",
                Weight.TIP,
                Step.ROTATION,
                "no legume stands in three crops or more and their covers, or more than half of the crops are legumes",
                Source.commonPractice("a legume in the rotation for nitrogen; not so often that its diseases build up"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        long crops = s.crops().stream().filter(c -> c.crop().group().isLegume()).count();
        boolean covers = s.covers().stream()
                .flatMap(c -> c.components().stream())
                .anyMatch(k -> k.species().group().isLegume());
        int n = s.crops().size();
        if (n >= 3 && crops == 0 && !covers) {
            return Stream.of(speak(
                    s,
                    "No legume stands in the rotation, neither as a crop nor in a cover: all nitrogen is bought.",
                    "a legume in a cover, or one as a crop"));
        }
        if (n >= 2 && crops * 2 > n) {
            return Stream.of(speak(
                    s,
                    crops + " of " + n + " crops are legumes. Root rots and nematodes of legumes build up.",
                    "fewer legumes, of other kinds"));
        }
        return Stream.empty();
    }

    private Note speak(Situation s, String text, String change) {
        return note("rotation", s.crops().get(0).planted(), text, List.of(text), change);
    }
}
