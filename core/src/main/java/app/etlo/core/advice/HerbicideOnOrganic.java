package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.termination.Termination;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A herbicide ends a cover on a field that is organic or on its way there. */
final class HerbicideOnOrganic extends Judgement {
    HerbicideOnOrganic() {
        super(
                "herbicide-on-organic",
                Weight.STOP,
                Step.END,
                "a herbicide ends a cover on a field that is organic or in transition to it",
                Source.commonPractice("organic rules allow no synthetic herbicide; the certifier decides"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.field()
                .certification()
                .filter(c -> !c.equals("conventional"))
                .map(c -> s.covers().stream().flatMap(cover -> note(cover, c).stream()))
                .orElse(Stream.empty());
    }

    private Optional<Note> note(Situation.Cover cover, String certification) {
        List<Termination> sprayed =
                cover.endings().stream().filter(e -> e.method().usesHerbicide()).toList();
        if (sprayed.isEmpty()) {
            return Optional.empty();
        }
        String passes = sprayed.stream()
                .map(e -> e.method().name().toLowerCase(Locale.ROOT) + " on " + Shown.date(e.date()))
                .collect(Collectors.joining(", "));
        return Optional.of(note(
                cover.id(),
                Optional.of(sprayed.get(0).date()),
                "This field is " + certification + ", and a herbicide is planned to end the cover: " + passes
                        + ". It would cost the certification; ask the certifier before any product is used.",
                List.of(certification, passes),
                "rolling at flowering, mowing, tillage or winterkill"));
    }
}
