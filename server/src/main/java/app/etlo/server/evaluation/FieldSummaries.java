package app.etlo.server.evaluation;

import app.etlo.core.advice.Weight;
import app.etlo.core.plan.Context;
import app.etlo.core.plan.Evaluated;
import app.etlo.core.plan.Evaluation;
import app.etlo.core.plan.EvaluationWriter;
import app.etlo.core.plan.Json;
import app.etlo.core.plan.PlanDocument;
import app.etlo.core.plan.SeedNeeds;
import app.etlo.core.plan.SeedNeeds.SeedNeed;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.server.documents.DocumentText;
import app.etlo.server.outside.Outside;
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
                             (select concat(w.id, '.', w.version) from weather_series w
                              where w.ref = f.document::jsonb ->> 'weather'),
                             (select max(id) from species_correction)) as state
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

    private record Kept(String restsOn, Optional<String> place, String document) {}

    /** What a summary would rest on now, apart from the forecast of its place. */
    private record State(String fieldId, String base) {
        String with(Optional<String> place, Map<String, String> forecasts) {
            return base + place.map(p -> " " + forecasts.getOrDefault(p, "")).orElse("");
        }
    }

    private List<State> states(LocalDate asOf, Optional<String> fieldId) {
        String prefix = EvaluationWriter.CORE_VERSION + " " + asOf + " ";
        String which = fieldId.isPresent() ? " where f.ref = ?" : "";
        return sql.query(
                STATES + which,
                (r, i) -> new State(r.getString(1), prefix + r.getString(2)),
                fieldId.stream().toArray());
    }

    private Map<String, String> forecasts() {
        return sql
                .query(
                        "select place, fetched_at from service_answer where service = 'forecast' and fetched_at is not null",
                        (r, i) -> Map.entry(r.getString(1), r.getString(2)))
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    private Map<String, Kept> kept(Optional<String> fieldId) {
        String which = fieldId.isPresent() ? " where field_ref = ?" : "";
        return sql
                .query(
                        "select field_ref, rests_on, place, document from field_summary" + which,
                        (r, i) -> Map.entry(
                                r.getString(1),
                                new Kept(r.getString(2), Optional.ofNullable(r.getString(3)), r.getString(4))),
                        fieldId.stream().toArray())
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    private static boolean isCurrent(State state, Kept kept, Map<String, String> forecasts) {
        return kept != null && kept.restsOn().equals(state.with(kept.place(), forecasts));
    }

    /** The fields whose summary is not as everything is now. */
    @Transactional(readOnly = true)
    public List<String> stale(LocalDate asOf) {
        Map<String, Kept> kept = kept(Optional.empty());
        Map<String, String> forecasts = forecasts();
        return states(asOf, Optional.empty()).stream()
                .filter(s -> !isCurrent(s, kept.get(s.fieldId()), forecasts))
                .map(State::fieldId)
                .toList();
    }

    /** The day that the newest summaries are for. */
    @Transactional(readOnly = true)
    public Optional<LocalDate> lastDay() {
        return Optional.ofNullable(sql.queryForObject("select max(as_of) from field_summary", LocalDate.class));
    }

    /** Reckons a field unless that has been done by now; one that is there no more is let go. */
    public void refresh(String fieldId, LocalDate asOf, String by) {
        Map<String, Kept> kept = kept(Optional.of(fieldId));
        Map<String, String> forecasts = forecasts();
        states(asOf, Optional.of(fieldId)).stream()
                .filter(s -> !isCurrent(s, kept.get(fieldId), forecasts))
                .forEach(s -> reckon(s, asOf, forecasts, by));
    }

    FieldList all(LocalDate asOf) {
        Map<String, Kept> kept = kept(Optional.empty());
        Map<String, String> forecasts = forecasts();
        List<FieldSummary> found = new ArrayList<>();
        Instant until = clock.instant().plus(AT_ONCE);
        int pending = 0;
        for (State state : states(asOf, Optional.empty())) {
            Kept old = kept.get(state.fieldId());
            if (isCurrent(state, old, forecasts)) {
                found.add(text.read(old.document(), FieldSummary.class));
            } else if (found.isEmpty() || clock.instant().isBefore(until)) {
                found.add(reckon(state, asOf, forecasts, "a reading"));
            } else {
                pending++;
                if (old != null) {
                    found.add(text.read(old.document(), FieldSummary.class).aged());
                }
            }
        }
        found.sort(Comparator.comparing(
                s -> s.next().map(Evaluation.NextDecision::date).orElse(LocalDate.MAX)));
        return new FieldList(found, pending);
    }

    /** With everything as it was when its state was read, or newer; then it is stale and reckoned once more. */
    private FieldSummary reckon(State state, LocalDate asOf, Map<String, String> forecasts, String by) {
        PlanDocument plan = plans.current(state.fieldId()).orElseGet(() -> PlanDocument.empty("none", state.fieldId()));
        Evaluated evaluated = evaluations.forList(plan, asOf);
        FieldSummary summary = summary(evaluated);
        Optional<String> place = Outside.place(evaluated.context().field());
        sql.update(
                """
                insert into field_summary (workspace_id, field_ref, rests_on, document, place, as_of, reckoned_by)
                select workspace_id, ref, ?, ?, ?, ?, ? from field where ref = ?
                on conflict (workspace_id, field_ref) do update set rests_on = excluded.rests_on,
                  document = excluded.document, place = excluded.place, as_of = excluded.as_of,
                  reckoned_by = excluded.reckoned_by
                """, state.with(place, forecasts), Json.write(summary), place.orElse(null), asOf, by, state.fieldId());
        return summary;
    }

    private static FieldSummary summary(Evaluated evaluated) {
        Evaluation e = EvaluationWriter.write(evaluated);
        Evaluation.FigureView area = e.figures().get("field/area");
        Context context = evaluated.context();
        return new FieldSummary(
                context.field().id(),
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
