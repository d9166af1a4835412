package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** Rhizobium that is past its date when it is to be sown: on the seed as a coat, or in the packet. */
final class InoculantLate extends Judgement {
    InoculantLate() {
        super(
                "inoculant-late",
                Weight.THINK,
                Step.SOW,
                "the use-by date of a lot's coat, or of the inoculant planned for a group, is before the day of sowing",
                Source.commonPractice("live rhizobium dies on the shelf and on the seed; the packet's date decides"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream().filter(c -> c.sown().isPresent()).flatMap(c -> {
            LocalDate sown = c.sown().orElseThrow();
            Stream<Note> coats = c.components().stream()
                    .filter(k -> k.species().inoculant().isPresent())
                    .flatMap(k -> k.lot().stream()
                            .filter(l -> l.inoculated() && past(l.tag().inoculantUseBy(), sown))
                            .map(l -> speak(
                                    c,
                                    k.species().id(),
                                    "The inoculant on " + k.species().name().toLowerCase(Locale.ROOT) + ", lot "
                                            + l.label() + ",",
                                    l.tag().inoculantUseBy().orElseThrow())));
            Stream<Note> packets = c.use().rhizobia().planned().entrySet().stream()
                    .filter(e -> past(e.getValue().useBy(), sown))
                    .map(e -> speak(
                            c,
                            e.getKey(),
                            "The inoculant of the " + e.getKey() + " group",
                            e.getValue().useBy().orElseThrow()));
            return Stream.concat(coats, packets);
        });
    }

    private static boolean past(Optional<LocalDate> useBy, LocalDate sown) {
        return useBy.filter(d -> d.isBefore(sown)).isPresent();
    }

    private Note speak(Situation.Cover c, String about, String what, LocalDate useBy) {
        return note(
                c.id() + "/" + about,
                c.sown(),
                what + " was to be used by " + Shown.date(useBy) + ", and it is sown on "
                        + Shown.date(c.sown().orElseThrow())
                        + ". Count on no live rhizobium from it: inoculate again on the day.",
                List.of("use by " + useBy, "sown " + c.sown().orElseThrow()),
                "fresh inoculant");
    }
}
