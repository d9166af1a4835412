package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Dates that cannot all be true: harvest before planting, a crop planted before the last one is off, an end before sowing. */
final class DatesOutOfOrder extends Judgement {
    DatesOutOfOrder() {
        super(
                "dates-out-of-order",
                Weight.STOP,
                Step.ROTATION,
                "a harvest lies before its planting, a crop is planted before the one ahead is harvested, or a cover ends"
                        + " before it is sown",
                Source.identity("time runs one way"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return Stream.concat(
                Stream.concat(
                        s.crops().stream().flatMap(c -> harvestFirst(c).stream()),
                        IntStream.range(1, s.crops().size())
                                .mapToObj(i ->
                                        overlap(s.crops().get(i - 1), s.crops().get(i)))
                                .flatMap(Optional::stream)),
                s.covers().stream().flatMap(c -> endFirst(c).stream()));
    }

    private Optional<Note> harvestFirst(CropInTime c) {
        return c.harvested()
                .filter(h -> c.planted().map(h::isBefore).orElse(false))
                .map(h -> speak(
                        Step.ROTATION,
                        c.id(),
                        h,
                        c.crop().name() + " is harvested on " + Shown.date(h) + ", before it is planted."));
    }

    private Optional<Note> overlap(CropInTime before, CropInTime after) {
        return after.planted()
                .filter(p -> before.harvested().map(p::isBefore).orElse(false))
                .map(p -> speak(
                        Step.ROTATION,
                        after.id(),
                        p,
                        after.crop().name() + " is planted on " + Shown.date(p) + ", before "
                                + before.crop().name().toLowerCase(Locale.ROOT) + " is off the field."));
    }

    private Optional<Note> endFirst(Situation.Cover c) {
        return c.end()
                .map(e -> e.date())
                .filter(e -> c.sown().map(e::isBefore).orElse(false))
                .map(e -> speak(Step.END, c.id(), e, "The cover ends on " + Shown.date(e) + ", before it is sown."));
    }

    private Note speak(Step step, String subject, LocalDate at, String text) {
        return note(step, subject, Optional.of(at), text, List.of(text), "dates in their order");
    }
}
