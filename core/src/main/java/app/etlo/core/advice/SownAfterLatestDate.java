package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.LatestSowing;
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
                "a species is sown after its latest useful day, counted from the usual first autumn frost",
                Source.own("Etlo's own days per species from the first autumn frost, until growth is simulated"),
                "rough");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.sown().stream()
                        .flatMap(sown -> c.components().stream()
                                .flatMap(k -> s
                                        .frost()
                                        .flatMap(f -> LatestSowing.of(k.species(), f, sown))
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
