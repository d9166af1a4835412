package app.etlo.bench;

import app.etlo.core.ground.GroundMemory;
import app.etlo.core.ground.SimulationBenchmark;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.plan.asked.Candidates;
import app.etlo.core.plan.asked.EndDates;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.plan.growth.GrowthMemory;
import app.etlo.core.plan.growth.TriedGrowth;
import app.etlo.core.plan.timeline.Climates;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Ratios that a noisy machine leaves true, all measured in turn in one run: an evaluation in the core against the simulation's
 * benchmark R (30 years, 8 species), the days of the end against the same, and a drag over HTTP against the same drag in the core.
 */
final class SpeedRun {
    private static final int WARM_UP = 60;
    private static final int ROUNDS = 200;

    private SpeedRun() {}

    private interface Work {
        Object run() throws Exception;
    }

    /**
     * @param args the product's address and the demo password, as ./etlo status prints them
     */
    public static void main(String[] args) throws Exception {
        Knowledge knowledge = KnowledgeLoader.shipped();
        Dossier dossier = Valley.dossier(knowledge);
        LocalDate asOf = LocalDate.parse(Valley.AS_OF);
        SimulationBenchmark simulation = new SimulationBenchmark();
        simulation.weatherYears = 30;
        simulation.species = 8;
        simulation.make();
        Evaluator evaluator = new Evaluator(knowledge);
        Evaluator remembering = new Evaluator(
                knowledge,
                new Climates(knowledge),
                Optional.of(new GrowthMemory(new GroundMemory(2, Long.MAX_VALUE), new TriedGrowth(2))));
        String text = Json.write(dossier.plan());
        PlanDocument dragged = new PlanReader(knowledge).read(text.replace(Valley.END, Valley.END_DRAGGED));
        List<PlanDocument> plans = List.of(dossier.plan(), dragged);
        List<String> bodies = plans.stream()
                .map(p -> "{\"asOf\":\"" + Valley.AS_OF + "\",\"plan\":" + Json.write(p) + "}")
                .toList();
        HttpRun http = HttpRun.signedIn(args[0], args[1]);
        int[] turn = {0};
        double[][] ms = inTurn(List.of(
                simulation::run,
                () -> evaluator.evaluate(dossier.plan(), dossier.context(), asOf),
                () -> remembering.evaluate(plans.get(turn[0] % 2), dossier.context(), asOf),
                () -> http.post("/api/evaluations", bodies.get(turn[0]++ % 2))));
        Evaluated plain = evaluator.evaluate(dossier.plan(), dossier.context(), asOf);
        String cover = plain.covers().get(0).id();
        double[][] alone = inTurn(List.of(
                simulation::run,
                () -> Candidates.of(evaluator.evaluate(dossier.plan(), dossier.context(), asOf), cover),
                () -> Candidates.of(remembering.evaluate(dossier.plan(), dossier.context(), asOf), cover)));
        double[][] dates = inTurn(List.of(
                simulation::run, () -> EndDates.of(plain, cover, false), () -> EndDates.of(plain, cover, true)));
        double r = at(ms[0], 0.5);
        double core = at(ms[1], 0.5);
        double drag = at(ms[2], 0.5);
        System.out.printf(
                Locale.ROOT,
                "R %.1f ms (fastest %.1f); evaluate in the core %.1f ms (fastest %.1f): %.2f R, fastest against fastest %.2f%n",
                r,
                ms[0][0],
                core,
                ms[1][0],
                core / r,
                ms[1][0] / ms[0][0]);
        System.out.printf(
                Locale.ROOT,
                "all species alone, with their evaluation: %.1f R the first time, %.1f R when looked at again%n",
                at(alone[1], 0.5) / at(alone[0], 0.5),
                at(alone[2], 0.5) / at(alone[0], 0.5));
        System.out.printf(
                Locale.ROOT,
                "days of the end: whole %.1f R, first answer %.1f R%n",
                at(dates[1], 0.5) / at(dates[0], 0.5),
                at(dates[2], 0.5) / at(dates[0], 0.5));
        System.out.printf(
                Locale.ROOT,
                "drag in the core p50 %.1f ms; over HTTP p50 %.1f, p95 %.1f ms: %.2f and %.2f times the core's median%n",
                drag,
                at(ms[3], 0.5),
                at(ms[3], 0.95),
                at(ms[3], 0.5) / drag,
                at(ms[3], 0.95) / drag);
    }

    /** Sorted times of each, one after the other in every round, so that a slow minute of the machine meets all. */
    private static double[][] inTurn(List<Work> works) throws Exception {
        double[][] ms = new double[works.size()][ROUNDS];
        for (int round = -WARM_UP; round < ROUNDS; round++) {
            for (int w = 0; w < works.size(); w++) {
                long start = System.nanoTime();
                if (works.get(w).run() == null) {
                    throw new IllegalStateException("nothing came back");
                }
                if (round >= 0) {
                    ms[w][round] = (System.nanoTime() - start) / 1e6;
                }
            }
        }
        for (double[] m : ms) {
            Arrays.sort(m);
        }
        return ms;
    }

    private static double at(double[] sorted, double share) {
        return sorted[(int) (share * (sorted.length - 1))];
    }
}
