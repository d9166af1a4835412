package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Nutrients are brought out where only weeds take them up. */
final class ManureFeedsWeeds extends Judgement {
    ManureFeedsWeeds() {
        super(
                "manure-feeds-weeds",
                Weight.THINK,
                Step.ROTATION,
                "manure or fertiliser is brought out where nothing grows within two weeks, on a field with weeds of medium or high pressure",
                Source.commonPractice("nutrients placed where a crop or cover takes them up, not the weeds"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        boolean weedy = s.field().weeds().stream().anyMatch(w -> !w.pressure().equals("low"));
        return s.passes().stream()
                .filter(p -> weedy && p.operation().use().equals("feed"))
                .filter(p -> !grows(s, p.date()))
                .map(p -> note(
                        p.id(),
                        Optional.of(p.date()),
                        p.operation().name() + " on " + Shown.date(p.date())
                                + ": nothing grows then or within two weeks, and the field has weeds to feed.",
                        List.of(p.id() + " " + p.date()),
                        "a date when a crop or cover takes it up"));
    }

    private static boolean grows(Situation s, LocalDate day) {
        LocalDate soon = day.plusDays(14);
        boolean crop = s.crops().stream()
                .anyMatch(c -> c.planted().map(d -> !d.isAfter(soon)).orElse(false)
                        && c.harvested().map(d -> d.isAfter(day)).orElse(true));
        return crop
                || s.covers().stream()
                        .anyMatch(c -> c.sown().map(d -> !d.isAfter(soon)).orElse(false)
                                && c.end().map(e -> e.date().isAfter(day)).orElse(true));
    }
}
