package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.rotation.WindowKind;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A cover is sown into a crop outside the days its kind allows. */
final class SownOutsideWindow extends Judgement {
    SownOutsideWindow() {
        super(
                "sown-outside-window",
                Weight.THINK,
                Step.SOW,
                "a cover sown into a crop is sown outside the days its kind of window allows",
                Source.commonPractice(
                        "interseeding at V3 to V6, overseeding before leaf drop, frost seeding while nights still freeze"),
                "fair");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.window().stream()
                        .filter(w -> w.kind() != WindowKind.BETWEEN)
                        .flatMap(w -> c.sown().stream()
                                .filter(d -> d.isBefore(w.from()) && w.kind() != WindowKind.LIVING_MULCH
                                        || d.isAfter(w.sowUntil()))
                                .map(d -> note(
                                        c.id(),
                                        Optional.of(d),
                                        "Sown on " + Shown.date(d) + ", but "
                                                + w.kind().words() + " asks for " + Shown.date(w.from()) + " to "
                                                + Shown.date(w.sowUntil()) + ".",
                                        List.of("sown " + d, w.from() + " to " + w.sowUntil()),
                                        "a sowing date inside those days"))));
    }
}
