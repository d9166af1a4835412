package app.etlo.core.mix;

import app.etlo.core.mix.MixProgram.Row;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;
import org.ojalgo.optimisation.integer.IntegerStrategy;
import org.ojalgo.optimisation.integer.IntegerStrategy.ConfigurableStrategy;
import org.ojalgo.optimisation.integer.IntegerStrategy.GMICutConfiguration;
import org.ojalgo.optimisation.integer.NodeKey;

/** Solves mix programmes exactly, by the branch and bound of a mixed integer library. */
public final class MixSolver {
    private static final long MOST_MS = 20_000;

    /**
     * @param columns values of the programme's columns
     * @param proved whether most searches agree that no better one exists
     */
    public record Solution(double[] columns, double goal, boolean proved) {}

    /**
     * Searches that branch and cut in other ways. The library calls a solution optimal that is not, for 1 programme in 25 of the tests'
     * kind, but hardly ever in all of them; the best is taken, and proved where most find it.
     */
    private static final List<IntegerStrategy> SEARCHES = List.of(
            search().withGMICutConfiguration(new GMICutConfiguration().withFractionality(0.9)),
            search(),
            search().withGMICutConfiguration(new GMICutConfiguration().withViolation(BigDecimal.valueOf(0.1))),
            search().withPriorityDefinitions(NodeKey.DEPTH_FIRST_SEARCH));

    private static final int AGREE = 3;
    private static final double SAME = 1e-7;

    /** One worker: of several, one may rarely throw away a branch that another's bound should not have closed. */
    private static ConfigurableStrategy search() {
        return IntegerStrategy.DEFAULT.withParallelism(() -> 1);
    }

    /** The best solution; empty when nothing fits. */
    public Optional<Solution> solve(MixProgram p) {
        List<Solution> found = SEARCHES.stream()
                .flatMap(search -> solve(p, search).stream())
                .sorted(Comparator.comparingDouble(Solution::goal).reversed())
                .toList();
        if (found.isEmpty()) {
            return Optional.empty();
        }
        Solution best = found.get(0);
        long agree = found.stream().filter(f -> same(f.goal(), best.goal())).count();
        return Optional.of(new Solution(best.columns(), best.goal(), agree >= AGREE && best.proved()));
    }

    private static boolean same(double a, double b) {
        return Math.abs(a - b) <= SAME * Math.max(1, Math.abs(a));
    }

    private static Optional<Solution> solve(MixProgram p, IntegerStrategy search) {
        ExpressionsBasedModel model = new ExpressionsBasedModel();
        model.options.time_abort = MOST_MS;
        model.options.time_suffice = MOST_MS;
        model.options.integer(search);
        List<Variable> columns = new ArrayList<>();
        for (int i = 0; i < p.columns(); i++) {
            Variable v = model.newVariable("c" + i).lower(0).upper(p.upper()[i]).weight(p.goal()[i]);
            if (p.whole()[i]) {
                v.integer();
            }
            columns.add(v);
        }
        int at = 0;
        for (Row r : p.rows()) {
            Expression e = model.newExpression("r" + at++);
            if (Double.isFinite(r.least())) {
                e.lower(r.least());
            }
            if (Double.isFinite(r.most())) {
                e.upper(r.most());
            }
            for (int i = 0; i < r.weights().length; i++) {
                if (r.weights()[i] != 0) {
                    e.set(columns.get(i), r.weights()[i]);
                }
            }
        }
        Optimisation.Result result = model.maximise();
        if (!result.getState().isFeasible()) {
            return Optional.empty();
        }
        double[] found = new double[p.columns()];
        double goal = 0;
        for (int i = 0; i < found.length; i++) {
            double v = result.doubleValue(i);
            found[i] = p.whole()[i] ? Math.rint(v) : Math.max(0, v);
            goal += p.goal()[i] * found[i];
        }
        return Optional.of(new Solution(found, goal, result.getState().isOptimal()));
    }

    /**
     * Wishes that cannot all hold: each of them can be kept when any other of them is given up. Empty when all can be kept.
     * By the deletion filter (Chinneck and Dravnieks 1991, from memory).
     */
    public List<MixProgram.Wish> conflict(MixProgram p) {
        if (solve(p).isPresent()) {
            return List.of();
        }
        List<Row> kept = new ArrayList<>(p.rows());
        for (Row r : p.rows()) {
            if (r.wish().isPresent()) {
                List<Row> without = new ArrayList<>(kept);
                without.remove(r);
                if (solve(p.with(without)).isEmpty()) {
                    kept = without;
                }
            }
        }
        return kept.stream().flatMap(r -> r.wish().stream()).toList();
    }
}
