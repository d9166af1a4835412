package app.etlo.core;

import java.util.List;
import java.util.Random;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.RandomDistribution;

/**
 * What a made-up case is made of: a list of draws, after which every further one is nothing. A failing case shrinks with its list, to
 * fewer and smaller draws, which a seed cannot.
 */
public final class Choices extends Random {
    private static final long serialVersionUID = 1;
    private static final int BITS = 31;

    private final List<Integer> draws;
    private int next;

    private Choices(List<Integer> draws) {
        this.draws = List.copyOf(draws);
    }

    /**
     * @param most draws that a case needs
     */
    public static Arbitrary<Choices> upTo(int most) {
        return Arbitraries.integers()
                .between(0, Integer.MAX_VALUE)
                .withDistribution(RandomDistribution.uniform())
                .withoutEdgeCases()
                .list()
                .ofMinSize(most / 2)
                .ofMaxSize(most)
                .map(Choices::new);
    }

    @Override
    protected int next(int bits) {
        return draws == null || next >= draws.size() ? 0 : draws.get(next++) >>> (BITS - Math.min(BITS, bits));
    }

    @Override
    public String toString() {
        return "draws " + draws;
    }
}
