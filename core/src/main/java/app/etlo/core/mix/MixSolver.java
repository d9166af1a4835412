package app.etlo.core.mix;

import app.etlo.core.mix.MixProgram.Row;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;
import org.ojalgo.optimisation.integer.IntegerStrategy;

/** Solves mix programmes exactly, by the branch and bound of a mixed integer library. */
public final class MixSolver {
    private static final long MOST_MS = 20_000;

    /**
     * @param columns values of the programme's columns
     * @param proved whether no better one exists
     */
    public record Solution(double[] columns, double goal, boolean proved) {}

    /** The best solution; empty when nothing fits. */
    public Optional<Solution> solve(MixProgram p) {
        ExpressionsBasedModel model = new ExpressionsBasedModel();
        model.options.time_abort = MOST_MS;
        model.options.time_suffice = MOST_MS;
        // one worker: of several, one may rarely throw away a branch that another's bound should not have closed
        model.options.integer(IntegerStrategy.DEFAULT.withParallelism(() -> 1));
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
