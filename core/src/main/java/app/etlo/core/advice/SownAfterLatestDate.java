package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.stream.Stream;

/** A species is sown later than the frost date leaves it time for. */
final class SownAfterLatestDate extends Judgement {
    SownAfterLatestDate() {
        super(
                "sown-after-latest-date",
                Weight.THINK,
                Step.SOW,
                "a species is sown after its latest useful day: by degree days of the place's weather, else counted from the usual first autumn frost",
                Source.own("Etlo's own degree days per species to a useful stand, or days from the first autumn frost"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return Stream.concat(tooLate(s), s.covers().stream().flatMap(SownAfterLatestDate.this::never));
    }

    /** Species that most years never bring to a useful stand in this window, whenever they are sown. */
    private Stream<Note> never(Situation.Cover c) {
        return c.sown().stream()
                .flatMap(sown -> c.useful().stream()
                        .filter(u -> u.mostYears().isEmpty())
                        .map(u -> note(
                                c.id() + "/" + u.species().id(),
                                java.util.Optional.of(sown),
                                u.species().name() + " reaches a useful stand in this window in only " + u.years()
                                        + " of " + u.allYears() + " weather years, even sown on its first day.",
                                List.of(
                                        "window "
                                                + c.window()
                                                        .map(w -> w.from() + " " + w.to())
                                                        .orElse(""),
                                        u.years() + " of " + u.allYears() + " years"),
                                "a wider window, or a faster species")));
    }

    private Stream<Note> tooLate(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.sown().stream()
                        .flatMap(sown -> c.components().stream()
                                .flatMap(k -> s
                                        .latest(c, k.species(), sown)
                                        .filter(sown::isAfter)
                                        .map(latest -> late(c.id(), k.species(), sown, latest))
                                        .stream())));
    }

    private Note late(String cover, Species species, LocalDate sown, LocalDate latest) {
        return note(
                cover + "/" + species.id(),
                java.util.Optional.of(sown),
                species.name() + " is sown " + ChronoUnit.DAYS.between(latest, sown)
                        + " days after its latest useful day, " + Shown.date(latest) + ". Expect little of it.",
                List.of("sown " + sown, "latest " + latest),
                "an earlier sowing, or a hardier species such as cereal rye");
    }
}
