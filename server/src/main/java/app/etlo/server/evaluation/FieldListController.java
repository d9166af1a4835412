package app.etlo.server.evaluation;

import app.etlo.core.advice.Weight;
import app.etlo.core.plan.Context.FarmEntry;
import app.etlo.core.plan.Context.FieldEntry;
import app.etlo.core.plan.Evaluation;
import app.etlo.core.plan.EvaluationWriter;
import app.etlo.core.plan.PlanDocument;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.farm.FarmStore;
import app.etlo.server.plan.PlanStore;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** All fields of the practice with what each needs next, soonest first. */
@RestController
class FieldListController {
    private final FarmStore farms;
    private final PlanStore plans;
    private final Evaluations evaluations;

    FieldListController(FarmStore farms, PlanStore plans, Evaluations evaluations) {
        this.farms = farms;
        this.plans = plans;
        this.evaluations = evaluations;
    }

    /** A field in the list. */
    record FieldSummary(
            FieldEntry field,
            FarmEntry farm,
            String area,
            Optional<Evaluation.NextDecision> next,
            int stops,
            int thinks,
            Optional<TopNote> note,
            Evaluation.SectionView section) {}

    /** The heaviest note not answered yet. */
    record TopNote(Weight weight, String text) {}

    @Access(Who.MEMBER)
    @GetMapping("/api/fields")
    List<FieldSummary> fields(@RequestParam LocalDate asOf) {
        return farms.fields().stream()
                .map(f -> summary(f, asOf))
                .sorted(Comparator.comparing(
                        s -> s.next().map(Evaluation.NextDecision::date).orElse(LocalDate.MAX)))
                .toList();
    }

    private FieldSummary summary(FieldEntry field, LocalDate asOf) {
        PlanDocument plan = plans.current(field.id()).orElseGet(() -> PlanDocument.empty("none", field.id()));
        Evaluation e = EvaluationWriter.write(evaluations.evaluate(plan, asOf));
        Evaluation.FigureView area = e.figures().get("field/area");
        return new FieldSummary(
                field,
                farms.farm(field.farmId()),
                area.text() + " " + area.unit(),
                e.next(),
                count(e, "stop"),
                count(e, "think"),
                open(e).findFirst().map(n -> new TopNote(n.weight(), n.text())),
                e.section());
    }

    private static int count(Evaluation e, String weight) {
        return (int) open(e).filter(n -> n.weight().id().equals(weight)).count();
    }

    private static Stream<Evaluation.NoteView> open(Evaluation e) {
        return e.notes().stream().filter(n -> n.answer().isEmpty());
    }
}
