package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.Comparator;
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
                "a residual herbicide on record may still act when a cover is sown or a crop planted: the interval on its label is not over, or is not entered",
                Source.commonPractice("the rotational interval on the label in force, as the adviser typed it"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        Stream<Sown> sown = Stream.concat(
                s.covers().stream().flatMap(c -> c.sown().stream().map(d -> new Sown(c.id(), "the cover", d))),
                s.crops().stream()
                        .flatMap(c -> c.planted().stream()
                                .filter(d -> d.isAfter(s.asOf()))
                                .map(d -> new Sown(c.id(), c.crop().name().toLowerCase(Locale.ROOT), d))));
        List<Sown> all = sown.sorted(Comparator.comparing(Sown::on)).toList();
        return s.field().residuals().stream()
                .flatMap(r -> r.intervalMonths().isPresent()
                        ? all.stream().flatMap(x -> stillActs(x, r).stream())
                        : all.stream()
                                .filter(x -> x.on().isAfter(r.appliedOn())
                                        && !x.on().isAfter(r.appliedOn().plusMonths(LOOK_BACK_MONTHS)))
                                .findFirst()
                                .map(x -> intervalUnknown(x, r))
                                .stream());
    }

    private record Sown(String id, String what, LocalDate on) {}

    /** Asked once a herbicide, at what is sown first after it. */
    private Note intervalUnknown(Sown x, FieldFacts.Residual r) {
        return note(
                        x.id() + "/" + r.activeIngredient(),
                        Optional.of(x.on()),
                        r.activeIngredient() + " was applied on " + Shown.date(r.appliedOn()) + ", before " + x.what()
                                + " is sown on " + Shown.date(x.on())
                                + ", and the interval on its label is not entered. Read it from the label before seed is"
                                + " ordered.",
                        List.of(r.activeIngredient() + " " + r.appliedOn(), "sown " + x.on()),
                        "the label's rotational interval; a bioassay in doubt")
                .asking(MissingFact.Kind.LABEL_INTERVAL, r.activeIngredient() + " " + r.appliedOn());
    }

    private Optional<Note> stillActs(Sown x, FieldFacts.Residual r) {
        LocalDate until = r.appliedOn().plusDays(Math.round(r.intervalMonths().orElseThrow() * 30.44));
        return x.on().isAfter(r.appliedOn()) && x.on().isBefore(until)
                ? Optional.of(note(
                        x.id() + "/" + r.activeIngredient(),
                        Optional.of(x.on()),
                        r.activeIngredient() + " acts until " + Shown.date(until) + " by the interval you entered; "
                                + x.what() + " is sown on " + Shown.date(x.on())
                                + ". Dry or cold seasons and high pH lengthen it.",
                        List.of(r.activeIngredient() + " until " + until, "sown " + x.on()),
                        "a later sowing, another species by its own label interval, or a bioassay"))
                : Optional.empty();
    }
}
