package app.etlo.server.evaluation;

import app.etlo.core.advice.Weight;
import app.etlo.core.plan.Evaluation;
import app.etlo.core.plan.EvaluationWriter;
import app.etlo.core.plan.Json;
import app.etlo.core.plan.PlanDocument;
import app.etlo.core.plan.SeedNeeds;
import app.etlo.core.plan.SeedNeeds.SeedNeed;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.server.documents.DocumentText;
import app.etlo.server.plan.PlanStore;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What the list of fields shows, kept in the database under all it rests on: the plan's revision, the states of field, farm,
 * lots and weather, the day and the core's version. Of many that changed at once only some are reckoned in one reading; the
 * others are shown as they were, marked, until the next.
 */
@Service
@Transactional
class FieldSummaries {
    /** One reading works on fields that changed for about so long; the others follow with the next. */
    private static final Duration AT_ONCE = Duration.ofMillis(500);

    private static final String STATES = """
            select f.ref as field_ref,
                   concat_ws(' ', p.ref, p.head, f.id, f.version, a.id, a.version,
                             (select concat(count(*), '.', sum(version), '.', max(id)) from seed_lot),
                             (select concat(count(*), '.', sum(version), '.', max(id)) from weather_series),
                             (select max(id) from species_correction),
                             (select max(fetched_at) from service_answer)) as state
            from field f
            join farm a on a.ref = f.farm_ref and a.workspace_id = f.workspace_id
            left join plan p on p.field_ref = f.ref and p.workspace_id = f.workspace_id and p.is_current
            """;

    private final JdbcTemplate sql;
    private final PlanStore plans;
    private final Evaluations evaluations;
    private final DocumentText text;
    private final Clock clock;

    FieldSummaries(JdbcTemplate sql, PlanStore plans, Evaluations evaluations, DocumentText text, Clock clock) {
        this.clock = clock;
        this.sql = sql;
        this.plans = plans;
        this.evaluations = evaluations;
        this.text = text;
    }

    /**
     * A field in the list.
     *
     * @param seed what its covers still need
     * @param current whether it is reckoned with everything as it is now
     */
    record FieldSummary(
            String fieldId,
            String name,
            String farmId,
            String farmName,
            UnitSystem units,
            String area,
            Optional<Evaluation.NextDecision> next,
            int stops,
            int thinks,
            Optional<TopNote> note,
            Evaluation.SectionView section,
            List<SeedNeed> seed,
            boolean current) {
        FieldSummary aged() {
            return new FieldSummary(
                    fieldId, name, farmId, farmName, units, area, next, stops, thinks, note, section, seed, false);
        }
    }

    /** The heaviest note not answered yet. */
    record TopNote(Weight weight, String text) {}

    /** The fields there are; those never reckoned and beyond this reading's share are left out and counted. */
    record FieldList(List<FieldSummary> fields, int pending) {}

    private record Kept(String restsOn, String document) {}

    FieldList all(LocalDate asOf) {
        Map<String, Kept> kept = sql
                .query(
                        "select field_ref, rests_on, document from field_summary",
                        (r, i) -> Map.entry(r.getString(1), new Kept(r.getString(2), r.getString(3))))
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        List<FieldSummary> found = new ArrayList<>();
        Instant until = clock.instant().plus(AT_ONCE);
        int[] pending = {0};
        for (var row : sql.query(STATES, (r, i) -> Map.entry(r.getString(1), r.getString(2)))) {
            String restsOn = EvaluationWriter.CORE_VERSION + " " + asOf + " " + row.getValue();
            Kept old = kept.get(row.getKey());
            if (old != null && old.restsOn().equals(restsOn)) {
                found.add(text.read(old.document(), FieldSummary.class));
            } else if (found.isEmpty() || clock.instant().isBefore(until)) {
                FieldSummary summary = summary(row.getKey(), asOf);
                keep(row.getKey(), restsOn, Json.write(summary));
                found.add(summary);
            } else {
                pending[0]++;
                if (old != null) {
                    found.add(text.read(old.document(), FieldSummary.class).aged());
                }
            }
        }
        found.sort(Comparator.comparing(
                s -> s.next().map(Evaluation.NextDecision::date).orElse(LocalDate.MAX)));
        return new FieldList(found, pending[0]);
    }

    private void keep(String fieldId, String restsOn, String document) {
        sql.update("""
                insert into field_summary (workspace_id, field_ref, rests_on, document)
                select workspace_id, ref, ?, ? from field where ref = ?
                on conflict (workspace_id, field_ref) do update set rests_on = excluded.rests_on, document = excluded.document
                """, restsOn, document, fieldId);
    }

    private FieldSummary summary(String fieldId, LocalDate asOf) {
        PlanDocument plan = plans.current(fieldId).orElseGet(() -> PlanDocument.empty("none", fieldId));
        var evaluated = evaluations.evaluate(plan, asOf);
        Evaluation e = EvaluationWriter.write(evaluated);
        Evaluation.FigureView area = e.figures().get("field/area");
        var context = evaluated.context();
        return new FieldSummary(
                fieldId,
                context.field().name(),
                context.farm().id(),
                context.farm().name(),
                context.farm().units(),
                area.text() + " " + area.unit(),
                e.next(),
                count(e, "stop"),
                count(e, "think"),
                open(e).findFirst().map(n -> new TopNote(n.weight(), n.text())),
                e.section().withoutWeather(),
                SeedNeeds.of(evaluated),
                true);
    }

    private static int count(Evaluation e, String weight) {
        return (int) open(e).filter(n -> n.weight().id().equals(weight)).count();
    }

    private static Stream<Evaluation.NoteView> open(Evaluation e) {
        return e.notes().stream().filter(n -> n.answer().isEmpty());
    }
}
