package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.WindowKind;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
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
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return Stream.concat(
                s.covers().stream().flatMap(this::outsideAll),
                s.covers().stream().flatMap(this::outside));
    }

    /** Sown into a standing crop in which no kind of window holds: outside the crop's own days, or of a crop that has none. */
    private Stream<Note> outsideAll(Situation.Cover c) {
        if (c.window().isPresent() || c.use().standing().isEmpty()) {
            return Stream.empty();
        }
        CropInTime crop = c.use().standing().get();
        String name = crop.crop().name().toLowerCase(Locale.ROOT);
        return c.sown().stream()
                .map(d -> note(
                        c.id(),
                        Optional.of(d),
                        "Sown into " + name + " on " + Shown.date(d) + ", but "
                                + (isOutside(crop, d)
                                        ? "the crop does not stand on that day."
                                        : "the library knows no safe time to sow into this crop: light, seed contact and the"
                                                + " crop's herbicides decide."),
                        List.of("sown " + d, name),
                        "a date while the crop stands, or a cover after it"));
    }

    private static boolean isOutside(CropInTime crop, LocalDate d) {
        return crop.planted().map(d::isBefore).orElse(false)
                || crop.harvested().map(d::isAfter).orElse(false);
    }

    private Stream<Note> outside(Situation.Cover c) {
        return Stream.of(c)
                .flatMap(x -> x.window().stream()
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
