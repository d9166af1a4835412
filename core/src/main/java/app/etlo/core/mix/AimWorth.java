package app.etlo.core.mix;

import java.util.Map;

/**
 * What amounts of the aims are worth by their weights: 1 where each is reached as far as it is counted on. The amounts counted on are
 * round ones ({@link AimDelivery#useful}), so that it says the same whatever else could be sown.
 */
public final class AimWorth {
    private AimWorth() {}

    /**
     * @param amounts by aim; an aim without one counts as nothing
     */
    public static double of(Map<String, Double> weights, Map<String, Double> amounts) {
        return weights.entrySet().stream()
                .mapToDouble(w -> w.getValue()
                        * AimUtility.of(amounts.getOrDefault(w.getKey(), 0.0)
                                / AimDelivery.useful(w.getKey()).well()))
                .sum();
    }
}
