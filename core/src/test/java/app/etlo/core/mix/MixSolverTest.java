package app.etlo.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.knowledge.Group;
import app.etlo.core.mix.MixProgram.Row;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The solver against an independent one: glpsol of GLPK (Debian's glpk-utils), which reads the same programme as text. Values of
 * the goal are compared, not the mixes: several may serve alike.
 */
class MixSolverTest {
    private static final Map<String, Double> WEIGHTS =
            Map.of("mulch", 0.6, "fix-nitrogen", 0.3, "feed-pollinators", 0.1);
    private static final Map<String, Double> SCALE =
            Map.of("mulch", 6.0, "fix-nitrogen", 120.0, "feed-pollinators", 25.0);

    @TempDir
    Path folder;

    /** Species of no kind in particular, the same for the same seed. */
    static List<MixItem> items(int n, long seed) {
        Random r = new Random(seed);
        List<MixItem> items = new ArrayList<>();
        for (int i = 0; i < n; i++) {
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
                    g == Group.BRASSICA ? 0.15 : 0.9,
                    r.nextInt(4) == 0 ? 0.6 * r.nextDouble() : 0));
        }
        return items;
    }

    private static MixWishes wishes(
            boolean cheapest,
            Map<String, Double> aims,
            Double cost,
            Bounds species,
            Map<Group, Integer> groups,
            int boxes,
            boolean stock,
            Bounds seeds,
            Bounds cn,
            Bounds legumes,
            Bounds killed) {
        return new MixWishes(
                cheapest,
                aims,
                Optional.ofNullable(cost),
                species,
                groups,
                Map.of(),
                Map.of(),
                List.of(),
                Bounds.of(0.5, 1.3),
                seeds,
                boxes,
                stock,
                cn,
                legumes,
                killed,
                SeedBounds.NONE);
    }

    private record Model(String name, MixProgram program) {
        @Override
        public String toString() {
            return name;
        }
    }

    private static Model model(String name, List<MixItem> items, MixWishes wishes) {
        return new Model(name, MixProgram.of(items, WEIGHTS, SCALE, wishes));
    }

    static Stream<Model> models() {
        Bounds open = Bounds.OPEN;
        Bounds some = Bounds.of(2, 7);
        Map<Group, Integer> noGroups = Map.of();
        List<MixItem> same = new ArrayList<>();
        MixItem one = items(1, 5).get(0);
        for (int i = 0; i < 12; i++) {
            same.add(new MixItem(
                    "twin-" + i,
                    one.group(),
                    false,
                    50,
                    200,
                    40,
                    4000,
                    1700,
                    60,
                    0,
                    Map.of("mulch", 4.0),
                    0.05,
                    0.4,
                    0));
        }
        List<MixItem> idle = items(10, 6).stream()
                .map(i -> new MixItem(
                        i.species(),
                        i.group(),
                        i.smallBox(),
                        0,
                        i.seedsM2(),
                        i.kgHa(),
                        i.massKgHa(),
                        i.carbonKgHa(),
                        i.nitrogenKgHa(),
                        0,
                        Map.of(),
                        0.05,
                        0.5,
                        0))
                .toList();
        return Stream.of(
                model(
                        "serve the aims",
                        items(20, 1),
                        wishes(false, Map.of(), null, some, noGroups, 2, false, open, open, open, open)),
                model(
                        "under a cost",
                        items(20, 1),
                        wishes(false, Map.of(), 55.0, some, noGroups, 2, false, open, open, open, open)),
                model(
                        "cheapest for two minimums",
                        items(24, 2),
                        wishes(
                                true,
                                Map.of("mulch", 3.0, "fix-nitrogen", 40.0),
                                null,
                                some,
                                noGroups,
                                2,
                                false,
                                open,
                                open,
                                open,
                                open)),
                model(
                        "one box",
                        items(24, 3),
                        wishes(false, Map.of(), 80.0, some, noGroups, 1, false, open, open, open, open)),
                model(
                        "stock first",
                        items(24, 4),
                        wishes(true, Map.of("mulch", 3.0), null, some, noGroups, 2, true, open, open, open, open)),
                model(
                        "C:N in a span",
                        items(30, 7),
                        wishes(false, Map.of(), 90.0, some, noGroups, 2, false, open, Bounds.of(18, 24), open, open)),
                model(
                        "legumes by mass",
                        items(30, 8),
                        wishes(
                                false,
                                Map.of(),
                                null,
                                some,
                                noGroups,
                                2,
                                false,
                                open,
                                open,
                                Bounds.of(0.3, 0.45),
                                open)),
                model(
                        "half winterkilled",
                        items(30, 9),
                        wishes(false, Map.of(), null, some, noGroups, 2, false, open, open, open, Bounds.atLeast(0.5))),
                model(
                        "every group",
                        items(36, 10),
                        wishes(
                                false,
                                Map.of(),
                                100.0,
                                Bounds.of(6, 8),
                                Map.of(
                                        Group.COOL_GRASS,
                                        1,
                                        Group.WARM_GRASS,
                                        1,
                                        Group.COOL_LEGUME,
                                        1,
                                        Group.WARM_LEGUME,
                                        1,
                                        Group.BRASSICA,
                                        1,
                                        Group.BROADLEAF,
                                        1),
                                2,
                                false,
                                open,
                                open,
                                open,
                                open)),
                model(
                        "seeds in a span",
                        items(20, 11),
                        wishes(false, Map.of(), null, some, noGroups, 2, false, Bounds.of(150, 180), open, open, open)),
                model(
                        "degenerate: twins",
                        same,
                        wishes(false, Map.of(), 60.0, some, noGroups, 2, false, open, open, open, open)),
                model(
                        "degenerate: nothing to gain",
                        idle,
                        wishes(false, Map.of(), null, some, noGroups, 2, false, open, open, open, open)),
                model(
                        "infeasible aim",
                        items(12, 12),
                        wishes(false, Map.of("mulch", 60.0), null, some, noGroups, 2, false, open, open, open, open)),
                model(
                        "infeasible together",
                        items(12, 13),
                        wishes(
                                false,
                                Map.of("fix-nitrogen", 40.0),
                                null,
                                some,
                                noGroups,
                                2,
                                false,
                                open,
                                Bounds.atLeast(60),
                                open,
                                open)),
                model(
                        "sixty-four with everything",
                        items(64, 14),
                        wishes(
                                false,
                                Map.of("fix-nitrogen", 20.0),
                                70.0,
                                Bounds.of(3, 10),
                                Map.of(Group.COOL_GRASS, 1),
                                2,
                                true,
                                Bounds.of(100, 500),
                                Bounds.of(15, 30),
                                Bounds.of(0.1, 0.5),
                                Bounds.atMost(0.4))));
    }

    @ParameterizedTest
    @MethodSource("models")
    void serves_as_well_as_the_solution_of_glpk(Model model) throws Exception {
        Optional<MixSolver.Solution> ours = new MixSolver().solve(model.program());
        Optional<Double> theirs = glpk(model.program());
        assertThat(ours.isPresent()).isEqualTo(theirs.isPresent());
        assertThat(ours.isEmpty()).isEqualTo(model.name().startsWith("infeasible"));
        ours.ifPresent(s -> {
            assertThat(s.goal()).isCloseTo(theirs.orElseThrow(), within(1e-5 * Math.max(1, Math.abs(theirs.get()))));
            for (Row r : model.program().rows()) {
                assertThat(r.at(s.columns())).isBetween(r.least() - 1e-6, r.most() + 1e-6);
            }
        });
    }

    /** Of many like them, as some libraries call a mix the best that is not for one in twenty-five. */
    @Test
    void serves_as_well_as_glpk_on_many() throws Exception {
        Bounds open = Bounds.OPEN;
        int proved = 0;
        for (int seed = 100; seed < 130; seed++) {
            boolean odd = seed % 2 == 1;
            for (MixWishes w : List.of(
                    wishes(
                            true,
                            Map.of("fix-nitrogen", 30.0, "mulch", 1.5),
                            null,
                            Bounds.of(2, 7),
                            Map.of(),
                            2,
                            odd,
                            open,
                            open,
                            open,
                            open),
                    wishes(
                            false,
                            Map.of(),
                            60.0,
                            Bounds.of(2, 7),
                            Map.of(Group.COOL_GRASS, 1),
                            odd ? 1 : 2,
                            true,
                            open,
                            open,
                            open,
                            open))) {
                MixProgram p = MixProgram.of(items(20, seed), WEIGHTS, SCALE, w);
                double theirs = glpk(p).orElseThrow();
                MixSolver.Solution ours = new MixSolver().solve(p).orElseThrow();
                assertThat(ours.goal())
                        .as("seed " + seed)
                        .isCloseTo(theirs, within(1e-5 * Math.max(1, Math.abs(theirs))));
                proved += ours.proved() ? 1 : 0;
            }
        }
        assertThat(proved).isEqualTo(60);
    }

    @Test
    void a_conflict_is_irreducible() {
        MixProgram p = models().filter(m -> m.name().equals("infeasible together"))
                .findFirst()
                .orElseThrow()
                .program();
        MixSolver solver = new MixSolver();
        List<MixProgram.Wish> conflict = solver.conflict(p);
        assertThat(conflict).isNotEmpty();
        List<Row> only = p.rows().stream()
                .filter(r -> r.wish().map(conflict::contains).orElse(true))
                .toList();
        assertThat(solver.solve(p.with(only))).isEmpty();
        for (MixProgram.Wish w : conflict) {
            List<Row> less = only.stream()
                    .filter(r -> r.wish().filter(w::equals).isEmpty())
                    .toList();
            assertThat(solver.solve(p.with(less))).as("without " + w.words()).isPresent();
        }
    }

    @Test
    void what_fits_has_no_conflict() {
        assertThat(new MixSolver().conflict(models().findFirst().orElseThrow().program()))
                .isEmpty();
    }

    /** What glpsol finds for the programme as CPLEX LP text; empty when it says that nothing fits. */
    private Optional<Double> glpk(MixProgram p) throws IOException, InterruptedException {
        Path lp = folder.resolve("mix.lp");
        Path out = folder.resolve("mix.out");
        Files.writeString(lp, text(p));
        Process run = new ProcessBuilder(
                        "glpsol", "--lp", lp.toString(), "--mipgap", "0", "--tmlim", "60", "-o", out.toString())
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("log").toFile())
                .start();
        assertThat(run.waitFor(90, TimeUnit.SECONDS)).isTrue();
        String said = Files.readString(out);
        if (said.contains("INTEGER EMPTY")
                || said.contains("INTEGER UNDEFINED")
                || Files.readString(folder.resolve("log")).contains("HAS NO")) {
            return Optional.empty();
        }
        assertThat(said).contains("INTEGER OPTIMAL");
        String line =
                said.lines().filter(l -> l.startsWith("Objective:")).findFirst().orElseThrow();
        return Optional.of(Double.parseDouble(line.replaceAll(".*= *([-0-9.e+]+) .*", "$1")));
    }

    private static String text(MixProgram p) {
        StringBuilder t = new StringBuilder("Maximize\n goal:");
        terms(t, p.goal());
        t.append("\nSubject To\n");
        int k = 0;
        for (Row r : p.rows()) {
            if (Double.isFinite(r.least())) {
                terms(t.append(" l").append(k).append(':'), r.weights());
                t.append(String.format(Locale.ROOT, " >= %.12g%n", r.least()));
            }
            if (Double.isFinite(r.most())) {
                terms(t.append(" m").append(k).append(':'), r.weights());
                t.append(String.format(Locale.ROOT, " <= %.12g%n", r.most()));
            }
            k++;
        }
        t.append("Bounds\n");
        for (int i = 0; i < p.columns(); i++) {
            t.append(String.format(Locale.ROOT, " 0 <= c%d <= %.12g%n", i, p.upper()[i]));
        }
        t.append("General\n");
        for (int i = 0; i < p.columns(); i++) {
            if (p.whole()[i]) {
                t.append(" c").append(i).append('\n');
            }
        }
        return t.append("End\n").toString();
    }

    private static void terms(StringBuilder t, double[] weights) {
        boolean any = false;
        for (int i = 0; i < weights.length; i++) {
            if (weights[i] != 0) {
                t.append(String.format(Locale.ROOT, " %+.12g c%d", weights[i], i));
                any = true;
            }
        }
        if (!any) {
            t.append(" 0 c0");
        }
    }
}
