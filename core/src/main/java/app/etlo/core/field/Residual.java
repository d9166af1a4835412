package app.etlo.core.field;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;

/**
 * A herbicide that may still act in the soil, with the intervals of its label as they were typed; Etlo knows none of its own.
 *
 * @param intervalMonths to all plants not named; absent when it was not typed
 * @param monthsOf to single plants, groups of them and feeding, by id
 */
public record Residual(
        String activeIngredient, LocalDate appliedOn, Optional<Double> intervalMonths, Map<String, Double> monthsOf) {
    /** Under this name stands the interval to grazing and cutting. */
    public static final String FEEDING = "feeding";

    private static final double DAYS_OF_A_MONTH = 30.44;

    public Residual {
        monthsOf = Map.copyOf(monthsOf);
    }

    /** The day from which a plant may be sown: by its own interval, else its group's, else the one for all; empty while none is typed. */
    public Optional<LocalDate> safeFrom(String plant, String group) {
        return Optional.ofNullable(monthsOf.get(plant))
                .or(() -> Optional.ofNullable(monthsOf.get(group)))
                .or(() -> intervalMonths)
                .map(this::after);
    }

    /** The day from which it may be grazed or cut for feed; empty while none is typed. */
    public Optional<LocalDate> feedingFrom() {
        return Optional.ofNullable(monthsOf.get(FEEDING)).map(this::after);
    }

    private LocalDate after(double months) {
        return appliedOn.plusDays(Math.round(months * DAYS_OF_A_MONTH));
    }
}
