package app.etlo.core.advice;

import app.etlo.core.mix.Component;
import app.etlo.core.quantity.Shown;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** The soil is sourer than a planned crop, or a species of its cover, wants it: lime works slowly. */
final class LimeAsked extends Judgement {
    private static final int LEAD_MONTHS = 6;

    LimeAsked() {
        super(
                "lime-asked",
                Weight.THINK,
                Step.FIELD,
                "the pH of the newest soil test, else as entered, lies below that from which a planned crop, or a species of a cover, grows well",
                Source.fromMemory(
                        "lowest pH by crop, extension guides; lime wants six to twelve months, longer where it is not worked in"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.field().ph().flatMap(ph -> note(s, ph)).stream();
    }

    private Optional<Note> note(Situation s, double ph) {
        List<CropInTime> sour = s.crops().stream()
                .filter(c -> c.crop().phLow() > ph)
                .filter(c -> c.planted().filter(d -> d.isAfter(s.asOf())).isPresent())
                .toList();
        List<Component> species = s.covers().stream()
                .filter(c -> c.sown().filter(d -> d.isAfter(s.asOf())).isPresent())
                .flatMap(c -> c.components().stream())
                .filter(c -> c.species().site().phLow() > ph)
                .toList();
        Optional<LocalDate> first = Stream.concat(
                        sour.stream().flatMap(c -> c.planted().stream()),
                        s.covers().stream()
                                .filter(c -> c.components().stream().anyMatch(species::contains))
                                .flatMap(c -> c.sown().stream()))
                .filter(d -> d.isAfter(s.asOf()))
                .min(LocalDate::compareTo);
        return first.map(d -> note(
                "field/lime",
                first,
                "pH is " + ph + ", and " + wants(sour, species)
                        + ". Lime works in six to twelve months, and where it stays on the surface"
                        + " only in the topmost soil: "
                        + (d.minusMonths(LEAD_MONTHS).isAfter(s.asOf())
                                ? "it is spread by about " + Shown.date(d.minusMonths(LEAD_MONTHS))
                                : "it comes too late for the first of these, which may fail")
                        + ", at the rate that the laboratory's buffer test gives.",
                List.of("pH " + ph),
                "lime in time, or species and crops that bear the soil"));
    }

    private static String wants(List<CropInTime> crops, List<Component> species) {
        List<String> all = new ArrayList<>();
        crops.forEach(c -> all.add(
                c.crop().name().toLowerCase(Locale.ROOT) + " wants " + c.crop().phLow() + " or more"));
        species.forEach(c -> all.add(c.species().name().toLowerCase(Locale.ROOT) + " wants "
                + c.species().site().phLow() + " or more"));
        return String.join(", ", all.stream().distinct().toList());
    }
}
