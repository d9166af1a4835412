package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.tillage.Pass;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A pass works most of the ground while a cover that is ended later still grows in it. */
final class TilledBeforeEnd extends Judgement {
    /** Share of the ground from which on a pass is taken to end a cover; strips leave the middles alone. */
    private static final double MOST = 0.5;

    TilledBeforeEnd() {
        super(
                "tilled-before-end",
                Weight.THINK,
                Step.PLANT,
                "a tillage pass over at least half of the ground falls between the sowing of a cover and its end",
                Source.commonPractice("tillage uproots and buries most of a growing cover"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.sown().stream()
                        .flatMap(sown -> c.end().stream()
                                .flatMap(end -> s.passes().stream()
                                        .filter(p -> p.operation().use().equals("till") && p.shareDisturbed() >= MOST)
                                        .filter(p -> p.date().isAfter(sown)
                                                && p.date().isBefore(end.date()))
                                        .findFirst()
                                        .map(p -> speak(c.id(), p, end.date()))
                                        .stream())));
    }

    private Note speak(String cover, Pass p, LocalDate end) {
        return note(
                cover,
                Optional.of(p.date()),
                p.operation().name() + " on " + Shown.date(p.date())
                        + " works the soil while the cover still grows, and kills most of it before its end on "
                        + Shown.date(end) + ". Date the pass after the end, or end the cover with it.",
                List.of(p.operation().id() + " " + p.date(), "end " + end),
                "a later pass, an earlier end, or planting without full-width tillage");
    }
}
