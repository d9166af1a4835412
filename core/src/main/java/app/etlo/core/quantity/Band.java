package app.etlo.core.quantity;

import java.util.function.DoubleUnaryOperator;

/**
 * A value with the range it may lie in: low, middle and high in one unit. A value without doubt has all three equal.
 */
public record Band(double low, double middle, double high) {
    /** Arithmetic may leave the ends of a narrow band on the wrong side by its last digit. */
    private static final double LAST_DIGIT = 1e-12;

    public Band {
        double slip = LAST_DIGIT * Math.abs(middle);
        low = low > middle && low - middle <= slip ? middle : low;
        high = high < middle && middle - high <= slip ? middle : high;
        if (!(low <= middle && middle <= high)) {
            throw new IllegalArgumentException("a band runs low, middle, high: " + low + ", " + middle + ", " + high);
        }
    }

    public static Band exactly(double value) {
        return new Band(value, value, value);
    }

    public boolean isExact() {
        return low == high;
    }

    /** The band under a rising function, such as a change of unit. */
    public Band map(DoubleUnaryOperator rising) {
        return new Band(rising.applyAsDouble(low), rising.applyAsDouble(middle), rising.applyAsDouble(high));
    }
}
