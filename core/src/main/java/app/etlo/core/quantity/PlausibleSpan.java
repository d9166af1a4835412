package app.etlo.core.quantity;

import java.util.ArrayList;
import java.util.List;

/**
 * The span in which a typed number is believed without asking. Outside it the likely slip is worked out: the same digits
 * in another unit of the dimension, a fraction written for a percentage, or tonnes for kilograms.
 *
 * @param low lowest believed value, in {@code unit}
 * @param high highest believed value, in {@code unit}
 */
public record PlausibleSpan(double low, double high, Unit unit) {
    /** What the adviser may have meant: the same digits read otherwise. */
    public record Slip(Quantity meant, String because) {}

    public boolean holds(Quantity typed) {
        double v = typed.in(unit);
        return v >= low && v <= high;
    }

    /** The readings of the typed digits that lie inside the span; none when the number is believed as it stands. */
    public List<Slip> slips(Quantity typed) {
        if (holds(typed)) {
            return List.of();
        }
        List<Slip> found = new ArrayList<>();
        for (Unit other : Unit.values()) {
            if (other != typed.unit()
                    && other.dimension() == typed.unit().dimension()
                    && !other.written().isEmpty()) {
                add(found, new Quantity(typed.value(), other), "typed in " + other.written());
            }
        }
        if (typed.unit() == Unit.PERCENT) {
            add(found, new Quantity(typed.value() * 100, Unit.PERCENT), "a fraction typed for a percentage");
        }
        add(found, new Quantity(typed.value() / 10, typed.unit()), "a decimal point left out");
        return List.copyOf(found);
    }

    private void add(List<Slip> found, Quantity meant, String because) {
        boolean known = found.stream().anyMatch(s -> Math.abs(s.meant().in(unit) - meant.in(unit)) < 1e-9);
        if (holds(meant) && !known) {
            found.add(new Slip(meant, because));
        }
    }
}
