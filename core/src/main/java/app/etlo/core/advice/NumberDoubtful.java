package app.etlo.core.advice;

import app.etlo.core.advice.Situation.TypedNumber;
import app.etlo.core.quantity.PlausibleSpan;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A typed number outside the span in which it is believed, with the likely slip worked out. What was typed is kept. */
final class NumberDoubtful extends Judgement {
    NumberDoubtful() {
        super(
                "number-doubtful",
                Weight.THINK,
                Step.FIELD,
                "a typed number lies outside the plausible span of its crop, species or tool",
                Source.own("Etlo's own spans, wide enough for good and bad years"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.typed().stream().filter(t -> !t.span().holds(t.typed())).map(this::speak);
    }

    private Note speak(TypedNumber t) {
        List<PlausibleSpan.Slip> slips = t.span().slips(t.typed());
        String asked = slips.isEmpty()
                ? ""
                : " Did you mean "
                        + slips.stream()
                                .limit(2)
                                .map(x -> written(x.meant()) + " (" + x.because() + ")")
                                .collect(Collectors.joining(" or "))
                        + "?";
        return note(
                t.step(),
                t.subject(),
                Optional.empty(),
                t.label() + ": " + written(t.typed()) + " is doubtful." + asked,
                List.of(t.label() + " " + t.typed().value() + " "
                        + t.typed().unit().written()),
                "a number from " + Shown.text(t.span().low(), t.span().unit()) + " to "
                        + written(new Quantity(t.span().high(), t.span().unit())));
    }

    private static String written(Quantity q) {
        return (Shown.text(q.value(), q.unit()) + " " + q.unit().written()).strip();
    }
}
