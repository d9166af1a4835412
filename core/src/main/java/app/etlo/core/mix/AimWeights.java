package app.etlo.core.mix;

import app.etlo.core.working.Source;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Weights of ranked aims, the first the heaviest; together 1. */
public final class AimWeights {
    public static final Source SOURCE = Source.fromMemory(
            "rank order centroid: Barron and Barrett (1996), Decision quality using ranked attribute weights");

    private AimWeights() {}

    /** The weight of the k-th of K ranks is the mean of 1/k to 1/K over K. */
    public static Map<String, Double> of(List<String> ranked) {
        int n = ranked.size();
        Map<String, Double> weights = new LinkedHashMap<>();
        for (int k = 1; k <= n; k++) {
            double sum = 0;
            for (int i = k; i <= n; i++) {
                sum += 1.0 / i;
            }
            weights.put(ranked.get(k - 1), sum / n);
        }
        return weights;
    }
}
