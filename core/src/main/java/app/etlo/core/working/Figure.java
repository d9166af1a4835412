package app.etlo.core.working;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import java.util.Optional;

/**
 * A number that the adviser may have to defend, with the working that made it.
 *
 * @param id stable across evaluations, e.g. {@code feed/c2/leftToBuy}
 * @param about what it is a number of, where more than one figure is
 */
public record Figure(
        String id, String label, Band value, Unit unit, Origin origin, Working working, Optional<About> about) {

    public Figure(String id, String label, Band value, Unit unit, Origin origin, Working working) {
        this(id, label, value, unit, origin, working, Optional.empty());
    }

    public double middle() {
        return value.middle();
    }

    /** The middle value in another unit of the same dimension. */
    public double in(Unit other) {
        return unit.to(other, value.middle());
    }

    /** The same figure with another band, such as that of the weather years. */
    public Figure banded(Band band) {
        return new Figure(id, label, band, unit, origin, working, about);
    }

    /** The same figure, said to be a number of something. */
    public Figure about(About what) {
        return new Figure(id, label, value, unit, origin, working, Optional.of(what));
    }
}
