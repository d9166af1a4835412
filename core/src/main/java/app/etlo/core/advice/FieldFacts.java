package app.etlo.core.advice;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What the adviser entered of a field that judgements look at.
 *
 * @param residuals herbicides that may still act
 * @param history crops of the past, newest last, by name or id of the library
 * @param grazed whether stock have access
 */
public record FieldFacts(
        List<Weed> weeds, List<Residual> residuals, List<String> history, boolean organic, boolean grazed) {
    public static final FieldFacts NONE = new FieldFacts(List.of(), List.of(), List.of(), false, false);

    public FieldFacts {
        weeds = List.copyOf(weeds);
        residuals = List.copyOf(residuals);
        history = List.copyOf(history);
    }

    /**
     * @param pressure low, medium or high
     */
    public record Weed(String name, String pressure, boolean perennial, boolean underControl) {}

    /**
     * @param intervalMonths the label's interval as typed; absent when it was not
     */
    public record Residual(String activeIngredient, LocalDate appliedOn, Optional<Double> intervalMonths) {}
}
