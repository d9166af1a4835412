package app.etlo.core.advice;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What the adviser entered of a field that judgements look at.
 *
 * @param residuals herbicides that may still act
 * @param herbicidesSaid whether somebody said which were used, or that none was
 * @param noxious names that the law in force lists, as typed, lower case
 * @param certification conventional, organic or in transition
 */
public record FieldFacts(
        List<Weed> weeds,
        List<Residual> residuals,
        boolean herbicidesSaid,
        Optional<LocalDate> newestSoilTest,
        Optional<String> drainage,
        List<String> noxious,
        Optional<String> certification) {

    public FieldFacts {
        weeds = List.copyOf(weeds);
        residuals = List.copyOf(residuals);
        noxious = List.copyOf(noxious);
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
