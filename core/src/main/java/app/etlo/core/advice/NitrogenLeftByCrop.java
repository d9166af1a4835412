package app.etlo.core.advice;

import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The crop before leaves nitrogen that is easily forgotten. */
final class NitrogenLeftByCrop extends Judgement {
    private static final double MUCH_KG_HA = 40;

    NitrogenLeftByCrop() {
        super(
                "nitrogen-left-by-crop",
                Weight.TIP,
                Step.FEED,
                "a crop that leaves much nitrogen is followed by one that needs it and has no yield goal, so that no ledger counts it",
                Source.commonPractice("nitrogen credits of alfalfa, leys and grain legumes; by local rule"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return IntStream.range(1, s.crops().size())
                .mapToObj(i -> pair(s, s.crops().get(i - 1), s.crops().get(i)))
                .flatMap(Optional::stream);
    }

    private Optional<Note> pair(Situation s, CropInTime first, CropInTime second) {
        double left = first.crop().growing().nitrogenLeftKgHa();
        boolean needs = second.crop().need().map(n -> n.value().middle() > 0).orElse(false);
        return left >= MUCH_KG_HA && needs && second.yieldGoal().isEmpty()
                ? Optional.of(note(
                        second.id(),
                        second.planted(),
                        first.crop().name() + " usually leaves about " + s.sayRound(left, Unit.KG_PER_HA)
                                + " of nitrogen. With a yield goal the ledger counts it; many local recommendations have it inside.",
                        List.of(first.crop().id() + " before " + second.crop().id()),
                        "a yield goal, or the local recommendation for this sequence"))
                : Optional.empty();
    }
}
