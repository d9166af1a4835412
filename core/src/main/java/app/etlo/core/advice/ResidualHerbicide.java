package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** A residual herbicide may still act when something is sown. */
final class ResidualHerbicide extends Judgement {
    /** Without an interval it is asked about for so long. */
    private static final int LOOK_BACK_MONTHS = 24;

    ResidualHerbicide() {
        super(
                "residual-herbicide",
                Weight.STOP,
                Step.FIELD,
                "a residual herbicide on record may still act when a cover is sown or a crop planted: its interval as typed is not over, or was not typed",
                Source.commonPractice("the rotational interval on the label in force, as the adviser typed it"),
                "fair");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        Stream<Sown> sown = Stream.concat(
                s.covers().stream().flatMap(c -> c.sown().stream().map(d -> new Sown(c.id(), "the cover", d))),
                s.crops().stream()
                        .flatMap(c -> c.planted().stream()
                                .filter(d -> d.isAfter(s.asOf()))
                                .map(d -> new Sown(c.id(), c.crop().name().toLowerCase(Locale.ROOT), d))));
        return sown.flatMap(x -> s.field().residuals().stream().flatMap(r -> speak(x, r).stream()));
    }

    private record Sown(String id, String what, LocalDate on) {}

    private Optional<Note> speak(Sown x, FieldFacts.Residual r) {
        if (!x.on().isAfter(r.appliedOn())) {
            return Optional.empty();
        }
        if (r.intervalMonths().isEmpty()) {
            return x.on().isAfter(r.appliedOn().plusMonths(LOOK_BACK_MONTHS))
                    ? Optional.empty()
                    : Optional.of(note(
                            x.id() + "/" + r.activeIngredient(),
                            Optional.of(x.on()),
                            r.activeIngredient() + " was applied on " + Shown.date(r.appliedOn()) + ", before "
                                    + x.what() + ", and its interval is not typed. Read it from the label before seed"
                                    + " is ordered.",
                            List.of(r.activeIngredient() + " " + r.appliedOn(), "sown " + x.on()),
                            "the label's rotational interval, typed on the Field step; a bioassay in doubt"));
        }
        LocalDate until = r.appliedOn().plusDays(Math.round(r.intervalMonths().get() * 30.44));
        return x.on().isBefore(until)
                ? Optional.of(note(
                        x.id() + "/" + r.activeIngredient(),
                        Optional.of(x.on()),
                        r.activeIngredient() + " acts until " + Shown.date(until) + " by the interval you typed; "
                                + x.what() + " is sown on " + Shown.date(x.on())
                                + ". Dry or cold seasons and high pH lengthen it.",
                        List.of(r.activeIngredient() + " until " + until, "sown " + x.on()),
                        "a later sowing, another species by its own label interval, or a bioassay"))
                : Optional.empty();
    }
}
