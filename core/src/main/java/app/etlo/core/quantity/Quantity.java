package app.etlo.core.quantity;

/**
 * A number with its unit, kept as it was typed; converting never rewrites it.
 *
 * @param value finite
 */
public record Quantity(double value, Unit unit) {
    public Quantity {
        if (unit == null) {
            throw new IllegalArgumentException("a quantity names its unit");
        }
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException("a quantity must be a finite number");
        }
    }

    /**
     * The value in another unit of the same dimension.
     *
     * @throws IllegalArgumentException when the other unit measures something else
     */
    public double in(Unit other) {
        return unit.to(other, value);
    }
}
