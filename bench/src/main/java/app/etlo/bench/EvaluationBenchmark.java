package app.etlo.bench;

import app.etlo.core.ground.GroundMemory;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.plan.growth.GrowthMemory;
import app.etlo.core.plan.growth.TriedGrowth;
import app.etlo.core.plan.shown.Evaluation;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.plan.timeline.Climates;
import java.time.LocalDate;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What an evaluation costs in the core, from a plan already read, and what reading and writing it costs. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 4, time = 3)
@Measurement(iterations = 5, time = 3)
public class EvaluationBenchmark {
    private final Knowledge knowledge = KnowledgeLoader.shipped();
    private final PlanReader reader = new PlanReader(knowledge);
    private final Evaluator evaluator = new Evaluator(knowledge);
    private final Dossier dossier = Valley.dossier(knowledge);
    private final String planText = Json.write(dossier.plan());
    private final Evaluator remembering = new Evaluator(
            knowledge,
            new Climates(knowledge),
            Optional.of(new GrowthMemory(new GroundMemory(2, Long.MAX_VALUE), new TriedGrowth(2))));
    private final PlanDocument dragged = reader.read(planText.replace(Valley.END, Valley.END_DRAGGED));
    private boolean late;
    private final LocalDate asOf = LocalDate.parse(Valley.AS_OF);

    @Benchmark
    public Evaluated evaluate() {
        return evaluator.evaluate(dossier.plan(), dossier.context(), asOf);
    }

    /** A cover's end dragged to and fro, by an evaluator that remembers what it played last. */
    @Benchmark
    public Evaluated drag() {
        late = !late;
        return remembering.evaluate(late ? dragged : dossier.plan(), dossier.context(), asOf);
    }

    @Benchmark
    public Evaluation evaluateAndWrite() {
        return EvaluationWriter.write(evaluate());
    }

    @Benchmark
    public PlanDocument readAndCheckPlan() {
        return reader.read(planText);
    }
}
