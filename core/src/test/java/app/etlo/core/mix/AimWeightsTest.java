package app.etlo.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class AimWeightsTest {
    /** The rank order centroid weights as tabled by Barron and Barrett (1996), from memory: they follow from the mean of a simplex. */
    @Test
    void centroid_weights_of_two_three_and_four_ranks() {
        check(new double[] {0.75, 0.25});
        check(new double[] {0.6111, 0.2778, 0.1111});
        check(new double[] {0.5208, 0.2708, 0.1458, 0.0625});
    }

    private static void check(double[] expected) {
        List<String> ranks =
                IntStream.range(0, expected.length).mapToObj(i -> "a" + i).toList();
        Map<String, Double> weights = AimWeights.of(ranks);
        for (int i = 0; i < expected.length; i++) {
            assertThat(weights.get("a" + i)).isCloseTo(expected[i], within(5e-5));
        }
        assertThat(weights.values().stream().mapToDouble(v -> v).sum()).isCloseTo(1, within(1e-12));
    }
}
