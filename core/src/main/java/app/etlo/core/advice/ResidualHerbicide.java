package app.etlo.core.advice;

import app.etlo.core.field.Residual;
import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
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

    /**
     * What is sown: a crop, or a cover with its species.
     *
     * @param what in words
     */
    private record Sown(String id, String what, LocalDate on, List<Plant> plants, boolean fed) {}

    private record Plant(String id, String name, String group) {}

    @Override
    public Stream<Note> judge(Situation s) {
        Stream<Sown> covers = s.covers().stream()
                .flatMap(c -> c.sown().stream()
                        .map(d -> new Sown(
                                c.id(),
                                "the cover",
                                d,
                                c.components().stream()
                                        .map(k -> k.species())
                                        .map(k -> new Plant(
                                                k.id(), k.name(), k.group().id()))
                                        .toList(),
                                c.use().fed())));
        Stream<Sown> crops = s.crops().stream()
                .flatMap(c -> c.planted().stream()
                        .filter(d -> d.isAfter(s.asOf()))
                        .map(d -> new Sown(
                                c.id(),
                                c.crop().name().toLowerCase(Locale.ROOT),
                                d,
                                List.of(new Plant(
                                        c.crop().id(),
                                        c.crop().name(),
                                        c.crop().group().id())),
                                false)));
        List<Sown> all = Stream.concat(covers, crops)
                .sorted(Comparator.comparing(Sown::on))
                .toList();
        return s.field().residuals().stream()
                .flatMap(r -> Stream.concat(
                        all.stream()
                                .filter(x -> !x.on().isBefore(r.appliedOn()))
                                .flatMap(x -> stillActs(x, r).stream()),
                        unknown(all, r)));
    }

    /** Asked once a herbicide, at what is sown first after it and has a plant without an interval. */
    private Stream<Note> unknown(List<Sown> all, Residual r) {
        return all.stream()
                .filter(x -> x.on().isAfter(r.appliedOn())
                        && !x.on().isAfter(r.appliedOn().plusMonths(LOOK_BACK_MONTHS)))
                .filter(x -> x.plants().isEmpty() && r.intervalMonths().isEmpty()
                        || x.plants().stream()
                                .anyMatch(p -> r.safeFrom(p.id(), p.group()).isEmpty())
                        || x.fed() && r.feedingFrom().isEmpty())
                .limit(1)
                .map(x -> intervalUnknown(x, r));
    }

    private Note intervalUnknown(Sown x, Residual r) {
        List<String> open = x.plants().stream()
                .filter(p -> r.safeFrom(p.id(), p.group()).isEmpty())
                .map(p -> p.name().toLowerCase(Locale.ROOT))
                .toList();
        boolean feeding = open.isEmpty() && x.fed() && r.feedingFrom().isEmpty();
        return note(
                        x.id() + "/" + r.activeIngredient(),
                        Optional.of(x.on()),
                        r.activeIngredient() + " was applied on " + Shown.date(r.appliedOn()) + ", before " + x.what()
                                + " is sown on " + Shown.date(x.on())
                                + (feeding
                                        ? ", which is to be fed, and the interval to grazing and cutting is not entered: it is one of"
                                                + " its own on the label."
                                        : ", and the interval on its label"
                                                + (open.size() < x.plants().size()
                                                        ? " to " + String.join(", ", open)
                                                        : "")
                                                + " is not entered.")
                                + " Read it under crop rotation restrictions of the label in force, or ask its maker; until then"
                                + " no seed is ordered.",
                        List.of(r.activeIngredient() + " " + r.appliedOn(), "sown " + x.on()),
                        "the label's rotational interval; a bioassay in doubt")
                .asking(MissingFact.Kind.LABEL_INTERVAL, r.activeIngredient() + " " + r.appliedOn());
    }

    private Optional<Note> stillActs(Sown x, Residual r) {
        List<Plant> held = x.plants().stream()
                .filter(p -> r.safeFrom(p.id(), p.group())
                        .filter(d -> x.on().isBefore(d))
                        .isPresent())
                .toList();
        Optional<LocalDate> until = held.stream()
                .flatMap(p -> r.safeFrom(p.id(), p.group()).stream())
                .max(Comparator.naturalOrder())
                .or(() -> x.plants().isEmpty() ? r.safeFrom("", "").filter(d -> x.on().isBefore(d)) : Optional.empty());
        return until.map(d -> note(
                x.id() + "/" + r.activeIngredient(),
                Optional.of(x.on()),
                r.activeIngredient() + " acts until " + Shown.date(d) + " by the interval you entered"
                        + (held.size() < x.plants().size()
                                ? " to "
                                        + held.stream()
                                                .map(p -> p.name().toLowerCase(Locale.ROOT))
                                                .collect(Collectors.joining(", "))
                                : "")
                        + "; " + x.what() + " is sown on " + Shown.date(x.on())
                        + ". Dry or cold seasons, high pH and little organic matter lengthen it; a bioassay in pots tells.",
                List.of(r.activeIngredient() + " until " + d, "sown " + x.on()),
                "a later sowing, another species by its own label interval, or a bioassay"));
    }
}
