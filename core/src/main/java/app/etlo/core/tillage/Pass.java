package app.etlo.core.tillage;

import app.etlo.core.knowledge.FieldOperation;
import app.etlo.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.Optional;

/**
 * One field operation on its day. What is not typed is the operation's usual value.
 *
 * @param id names the pass in figures' ids
 * @param share of the surface disturbed, 0 to 1, where it follows from strip and row or is typed
 */
public record Pass(
        String id,
        LocalDate date,
        FieldOperation operation,
        Optional<Quantity> speed,
        Optional<Quantity> depth,
        Optional<Double> share) {

    public static Pass usual(String id, LocalDate date, FieldOperation operation) {
        return new Pass(id, date, operation, Optional.empty(), Optional.empty(), Optional.empty());
    }

    public double shareDisturbed() {
        return share.orElse(operation.shareDisturbed());
    }
}
