package app.etlo.core.mix;

import app.etlo.core.mix.MixProgram.Row;
import com.google.ortools.Loader;
import com.google.ortools.linearsolver.MPConstraint;
import com.google.ortools.linearsolver.MPSolver;
import com.google.ortools.linearsolver.MPSolver.ResultStatus;
import com.google.ortools.linearsolver.MPSolverParameters;
import com.google.ortools.linearsolver.MPVariable;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Solves mix programmes exactly, by the branch and cut of a mixed integer library. */
public final class MixSolver {
    private static final long MOST_MS = 20_000;

    /**
     * @param columns values of the programme's columns
     * @param proved whether no better one exists; not so where time ran out
     */
    public record Solution(double[] columns, double goal, boolean proved) {}

    /** The library is native code, unpacked once. */
    private static final class Native {
        static {
            Loader.loadNativeLibraries();
        }

        static MPSolver solver() {
            return MPSolver.createSolver("SCIP");
        }
    }

    /** The best solution; empty when nothing fits. */
    public Optional<Solution> solve(MixProgram p) {
        MPSolver solver = Native.solver();
        try {
            return solve(p, solver);
        } finally {
            // what it holds is not the collector's
            solver.delete();
        }
    }

    private static Optional<Solution> solve(MixProgram p, MPSolver solver) {
        List<MPVariable> columns = new ArrayList<>();
        for (int i = 0; i < p.columns(); i++) {
            columns.add(solver.makeVar(0, p.upper()[i], p.whole()[i], "c" + i));
            solver.objective().setCoefficient(columns.get(i), p.goal()[i]);
        }
        solver.objective().setMaximization();
        for (Row r : p.rows()) {
            MPConstraint row = solver.makeConstraint(r.least(), r.most());
            for (int i = 0; i < r.weights().length; i++) {
                if (r.weights()[i] != 0) {
                    row.setCoefficient(columns.get(i), r.weights()[i]);
                }
            }
        }
        solver.setTimeLimit(MOST_MS);
        MPSolverParameters exact = new MPSolverParameters();
        ResultStatus status;
        try {
            exact.setDoubleParam(MPSolverParameters.DoubleParam.RELATIVE_MIP_GAP, 0);
            status = solver.solve(exact);
        } finally {
            exact.delete();
        }
        if (status != ResultStatus.OPTIMAL && status != ResultStatus.FEASIBLE) {
            return Optional.empty();
        }
        double[] found = new double[p.columns()];
        double goal = 0;
        for (int i = 0; i < found.length; i++) {
            double v = columns.get(i).solutionValue();
            found[i] = p.whole()[i] ? Math.rint(v) : Math.max(0, v);
            goal += p.goal()[i] * found[i];
        }
        return Optional.of(new Solution(found, goal, status == ResultStatus.OPTIMAL));
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
