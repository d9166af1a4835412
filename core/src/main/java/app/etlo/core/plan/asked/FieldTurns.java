package app.etlo.core.plan.asked;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;

/**
 * Fields of a practice in the order in which they are worked. Common practice: in a dry spring the cover that drinks most is ended first;
 * in a wet one the ground that is fit first is planted first, which a living cover that drinks makes it; stock go where fence and water
 * are, the nearest first.
 *
 * @param dry in which to end covers in a dry spring
 * @param wet in which to plant in a wet spring
 * @param graze in which to send stock
 */
public record FieldTurns(List<Turn> dry, List<Turn> wet, List<Turn> graze) {
    /**
     * A field in its place.
     *
     * @param on the day that is planned for it
     * @param why in words of the farm
     */
    public record Turn(String fieldId, String field, String cover, LocalDate on, String why) {}

    public static FieldTurns of(List<FieldTurn> fields) {
        return new FieldTurns(
                turns(
                        fields,
                        Comparator.comparingDouble(FieldTurn::drinksMm)
                                .thenComparing(FieldTurn::dryYearsOfTen)
                                .reversed(),
                        FieldTurn::endsOn,
                        FieldTurn::inDry),
                turns(
                        fields,
                        Comparator.comparingDouble(FieldTurn::fitDaysOfTen).reversed(),
                        FieldTurn::planted,
                        FieldTurn::inWet),
                turns(
                        fields.stream().filter(f -> f.grazing().isPresent()).toList(),
                        Comparator.comparingInt(FieldTurns::lacks)
                                .thenComparing(f ->
                                        f.grazing().orElseThrow().distanceKm().orElse(Double.MAX_VALUE)),
                        FieldTurn::endsOn,
                        FieldTurn::forStock));
    }

    private static int lacks(FieldTurn f) {
        FieldTurn.ForStock s = f.grazing().orElseThrow();
        return (s.fenced() ? 0 : 1) + (s.water() ? 0 : 1);
    }

    private static List<Turn> turns(
            List<FieldTurn> fields,
            Comparator<FieldTurn> order,
            Function<FieldTurn, LocalDate> day,
            Function<FieldTurn, String> why) {
        return fields.stream()
                .sorted(order.thenComparing(FieldTurn::endsOn).thenComparing(FieldTurn::field))
                .map(f -> new Turn(f.fieldId(), f.field(), f.cover(), day.apply(f), why.apply(f)))
                .toList();
    }
}
