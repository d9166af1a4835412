package app.etlo.core.advice;

import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.nitrogen.PlannedNitrogen.Application;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Urea lies on the surface, and in many years no rain washes it in before it goes to the air. */
final class UreaOnResidue extends Judgement {
    private static final Set<String> WITH_UREA = Set.of("urea", "uan28", "uan32");
    private static final Set<String> IN_THE_SOIL = Set.of("beside-row", "in-furrow", "injected");
    private static final double OFTEN = 0.3;
    /** Lost in a dry week of what is urea: a tenth to a third; UAN is half urea. */
    private static final double LEAST_LOST = 0.1;

    private static final double MOST_LOST = 0.33;

    UreaOnResidue() {
        super(
                "urea-on-surface",
                Weight.THINK,
                Step.FEED,
                "urea or UAN is broadcast, or its place is not said, and under 12 mm of rain falls in five days in 3 years of 10 or more",
                Source.commonPractice(
                        "a tenth to a third of surface urea goes to the air without half an inch of rain within days, most on residue"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.crops().stream()
                .flatMap(c -> Optional.ofNullable(s.feed().get(c.id())).stream()
                        .map(FeedResult::applications)
                        .flatMap(List::stream)
                        .filter(a -> a.dryShare().orElse(0.0) >= OFTEN
                                && WITH_UREA.contains(a.product().id())
                                && a.placement().filter(IN_THE_SOIL::contains).isEmpty())
                        .findFirst()
                        .map(
                                a -> note(
                                        c.id(),
                                        Optional.of(a.on()),
                                        words(s, a),
                                        List.of("dry in "
                                                + Math.round(10 * a.dryShare().orElseThrow()) + " of 10 years"),
                                        "beside the row or injected, an inhibitor where its price is under what it saves, or just ahead of rain"))
                        .stream());
    }

    private static String words(Situation s, Application a) {
        double urea = a.nitrogenKgHa() * (a.product().id().equals("urea") ? 1 : 0.5);
        return a.product().name() + (a.placement().isPresent() ? " is broadcast" : " has no place entered")
                + ", and in "
                + Math.round(10 * a.dryShare().orElseThrow()) + " of 10 years less than " + Said.of(12, Unit.MILLIMETRE)
                + " of rain falls in the five days from then: on residue "
                + s.sayRound(LEAST_LOST * urea, Unit.KG_PER_HA).replaceFirst(" .*", "") + " to "
                + s.sayRound(MOST_LOST * urea, Unit.KG_PER_HA)
                + " of it then goes to the air, and what stays is tied up sooner than beside the row.";
    }
}
