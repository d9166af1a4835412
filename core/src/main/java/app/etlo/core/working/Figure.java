package app.etlo.core.working;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;

/**
 * A number that the adviser may have to defend, with the working that made it.
 *
 * @param id stable across evaluations, e.g. {@code feed/c2/leftToBuy}
 */
public record Figure(String id, String label, Band value, Unit unit, Origin origin, Working working) {
    public double middle() {
        return value.middle();
    }

    /** The middle value in another unit of the same dimension. */
    public double in(Unit other) {
        return unit.to(other, value.middle());
    }
}
