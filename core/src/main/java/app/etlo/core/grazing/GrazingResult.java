package app.etlo.core.grazing;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A grazing of a cover.
 *
 * @param operationId of the plan
 * @param on first day, {@code until} the last
 * @param eaten dry tops, kg/ha, as {@code left} is
 * @param heightLeft of the tallest, cm
 * @param herd what it means for the stock; empty until they are entered
 * @param says when it is ready, and what that day means, as sentences
 */
public record GrazingResult(
        String operationId,
        LocalDate on,
        LocalDate until,
        Figure eaten,
        Figure left,
        Figure heightLeft,
        Optional<OfHerd> herd,
        List<String> says)
        implements Figured {
    public GrazingResult {
        says = List.copyOf(says);
    }

    /**
     * How long it lasts.
     *
     * @param headDays days that one head is fed from the field
     * @param days that the herd stays
     * @param perPaddock days in each paddock
     * @param rest days from leaving a paddock until the herd could be back
     */
    public record OfHerd(Figure headDays, Figure days, Figure perPaddock, Figure rest) {}

    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>(List.of(eaten, left, heightLeft));
        herd.ifPresent(h -> all.addAll(List.of(h.headDays(), h.days(), h.perPaddock(), h.rest())));
        return all;
    }
}
