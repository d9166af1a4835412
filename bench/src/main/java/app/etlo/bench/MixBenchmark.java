package app.etlo.bench;

import app.etlo.core.knowledge.Group;
import app.etlo.core.mix.Bounds;
import app.etlo.core.mix.MixItem;
import app.etlo.core.mix.MixProgram;
import app.etlo.core.mix.MixSolver;
import app.etlo.core.mix.MixWishes;
import app.etlo.core.mix.SeedBounds;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One solve of the mix programme: 64 candidates, up to 10 chosen, with every kind of wish. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 5, time = 3)
public class MixBenchmark {
    @Param({"1", "2", "3", "4", "5"})
    public long seed;

    private MixProgram program;
    private final MixSolver solver = new MixSolver();

    /** Species of no kind in particular, the same for the same seed. */
    @Setup
    public void make() {
        Random r = new Random(seed);
        List<MixItem> items = new ArrayList<>();
        for (int i = 0; i < 64; i++) {
            Group g = Group.values()[i % Group.values().length];
            double mass = 1500 + 6000 * r.nextDouble();
            double nitrogen = mass * (g.isLegume() ? 0.033 : 0.016) * (0.8 + 0.4 * r.nextDouble());
            Map<String, Double> aims = new HashMap<>();
            aims.put("mulch", mass / 1000 * (0.5 + 0.5 * r.nextDouble()));
            aims.put("fix-nitrogen", g.isLegume() ? 0.7 * nitrogen : 0);
            aims.put("feed-pollinators", r.nextInt(3) == 0 ? 30 * r.nextDouble() : 0);
            items.add(new MixItem(
                    "species-" + i,
                    g,
                    i % 3 == 0,
                    20 + 150 * r.nextDouble(),
                    40 + 500 * r.nextDouble(),
                    5 + 60 * r.nextDouble(),
                    mass,
                    mass * 0.42,
                    nitrogen,
                    r.nextInt(3) == 0 ? mass : 0,
                    aims,
                    0.05,
                    g == Group.BRASSICA ? 0.15 : 0.4,
                    r.nextInt(4) == 0 ? 0.6 * r.nextDouble() : 0));
        }
        MixWishes wishes = new MixWishes(
                false,
                Map.of("fix-nitrogen", 20.0),
                Optional.of(70.0),
                Bounds.of(4, 10),
                Map.of(Group.COOL_GRASS, 1, Group.BRASSICA, 1),
                Map.of(),
                Map.of(),
                List.of(),
                Bounds.of(0.5, 1.3),
                Bounds.of(100, 500),
                2,
                true,
                Bounds.of(15, 30),
                Bounds.of(0.1, 0.5),
                Bounds.atMost(0.4),
                SeedBounds.NONE);
        program = MixProgram.of(
                items,
                Map.of("mulch", 0.6, "fix-nitrogen", 0.3, "feed-pollinators", 0.1),
                Map.of("mulch", 6.0, "fix-nitrogen", 120.0, "feed-pollinators", 25.0),
                wishes);
    }

    @Benchmark
    public Optional<MixSolver.Solution> solve() {
        return solver.solve(program);
    }
}
