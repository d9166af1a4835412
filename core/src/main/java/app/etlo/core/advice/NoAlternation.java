package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** Three or more crops that are all grasses, or all broadleaves. */
final class NoAlternation extends Judgement {
    NoAlternation() {
        super(
                "no-broadleaf-grass-alternation",
                Weight.TIP,
                Step.ROTATION,
                "three or more crops, all grasses or all broadleaves",
                Source.commonPractice("grasses and broadleaves in turn, for weeds and herbicides"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        long grasses = s.crops().stream()
                .filter(c -> c.crop().family().equals("Poaceae"))
                .count();
        if (s.crops().size() < 3 || grasses > 0 && grasses < s.crops().size()) {
            return Stream.empty();
        }
        String kind = grasses > 0 ? "grasses" : "broadleaves";
        return Stream.of(note(
                s.crops().get(0).id(),
                s.crops().get(0).planted(),
                "All " + s.crops().size() + " crops are " + kind
                        + ". Weeds of their kind meet no other season and no other means.",
                List.of("all " + kind + " " + s.crops().size()),
                grasses > 0 ? "a broadleaf crop in the sequence" : "a grain in the sequence"));
    }
}
