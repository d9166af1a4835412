package app.etlo.server.evaluation;

import app.etlo.core.plan.asked.FieldTurn;
import app.etlo.core.plan.asked.SeedNeeds;
import app.etlo.core.plan.asked.SeedNeeds.SeedNeed;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.shown.Evaluation;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.plan.shown.Part;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.server.documents.DocumentText;
import app.etlo.server.evaluation.FieldRow.TopNote;
import app.etlo.server.outside.Outside;
import app.etlo.server.plan.PlanStore;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.TransactionException;

/**
 * What the list of fields shows, kept in the database under all it rests on: the plan's revision, the states of field, farm,
 * lots and weather, the practice's day and the core's version. The database searches, filters, sorts and pages; a row's picture
 * and its seed are kept apart from it. What is no longer current is shown as it was, marked, and computed again: a few at once
 * while they are looked at and nobody waits, the others in the background. A plan that cannot be computed has a row that says so.
 */
@Service
class FieldSummaries {
    private static final Logger LOG = LoggerFactory.getLogger(FieldSummaries.class);
    /** Of the answer, what a row of the list is made of. */
    private static final Set<Part> WRITTEN = EnumSet.of(Part.FIELD, Part.SECTION, Part.NOTES);
    /** More fields that changed than these are left to the background. */
    private static final int FEW = 3;
    /** One reading works for about so long on what changed. */
    private static final Duration AT_ONCE = Duration.ofMillis(400);

    private static final String FROM = """
            from field f
            join farm a on a.workspace_id = f.workspace_id and a.ref = f.farm_ref
            left join plan p on p.workspace_id = f.workspace_id and p.field_ref = f.ref and p.is_current
            left join weather_series w on w.workspace_id = f.workspace_id and w.ref = f.weather_ref
            left join field_summary s on s.workspace_id = f.workspace_id and s.field_ref = f.ref
            cross join (select concat(count(*), '.', sum(version), '.', max(id)) as lots from seed_lot) l
            cross join (select max(id) as correction from species_correction) k
            """;
    /** What a summary would rest on now, apart from the forecast of its place. */
    private static final String BASE = """
            concat_ws(' ', :core, :day::text, p.ref, p.head, f.id, f.version, a.id, a.version, l.lots,
                      concat(w.id, '.', w.version), k.correction,
                      (select max(e.id) from log_entry e where e.workspace_id = f.workspace_id and e.field_ref = f.ref))
            """;

    private static final String FORECAST = """
            coalesce((select ' ' || c.fetched_at::text from service_answer c
                      where c.service = 'forecast' and c.place = %s and c.fetched_at is not null), '')
            """;
    private static final String IS_CURRENT =
            "(s.rests_on is not null and s.rests_on = " + BASE + " || " + FORECAST.formatted("s.place") + ")";
    private static final String WORDS = "lower(concat_ws(' ', f.name, a.name, s.words))";

    private final JdbcClient jdbc;
    private final PlanStore plans;
    private final Evaluations evaluations;
    private final EvaluationSlots slots;
    private final EvaluationContexts contexts;
    private final DocumentText text;
    private final Clock clock;
    private final CoreVersion core;

    FieldSummaries(
            JdbcClient jdbc,
            PlanStore plans,
            Evaluations evaluations,
            EvaluationSlots slots,
            EvaluationContexts contexts,
            DocumentText text,
            Clock clock,
            CoreVersion core) {
        this.jdbc = jdbc;
        this.plans = plans;
        this.evaluations = evaluations;
        this.slots = slots;
        this.contexts = contexts;
        this.text = text;
        this.clock = clock;
        this.core = core;
    }

    /**
     * A page of the list.
     *
     * @param asOf the practice's day, which the rows are for
     * @param next where the next page begins; absent on the last
     * @param matching fields that are like what was asked for, on all pages
     * @param total fields of the practice
     * @param pending of those, how many are not as everything is now
     */
    record FieldPage(
            LocalDate asOf, List<FieldRow> fields, Optional<String> next, int matching, int total, int pending) {}

    private record Counts(int matching, int total, int pending) {}

    private record Found(FieldQuery.Cursor at, FieldRow row) {}

    /** A page; the few fields of it that changed are computed first where nobody waits. */
    FieldPage page(FieldQuery query, LocalDate day) {
        List<Found> found = contexts.read(() -> find(query, day));
        List<String> changed = found.stream()
                .filter(f -> !f.row().current())
                .map(f -> f.row().fieldId())
                .toList();
        if (caughtUp(changed, day)) {
            found = contexts.read(() -> find(query, day));
        }
        boolean more = found.size() > query.limit();
        List<Found> shown = found.subList(0, Math.min(found.size(), query.limit()));
        Counts counts = contexts.read(() -> count(query, day));
        return new FieldPage(
                day,
                shown.stream().map(Found::row).toList(),
                more ? Optional.of(shown.get(shown.size() - 1).at().text()) : Optional.empty(),
                counts.matching(),
                counts.total(),
                counts.pending());
    }

    private List<Found> find(FieldQuery query, LocalDate day) {
        String after = query.after().isPresent()
                ? " and (" + query.order().sql + ", lower(coalesce(f.name, '')), f.ref) > (:key, :name, :ref)"
                : "";
        JdbcClient.StatementSpec ask = jdbc.sql("select f.ref, f.name, f.farm_ref, a.name as farm, s.list_row, "
                        + query.order().sql
                        + " as key, lower(coalesce(f.name, '')) as low, a.document::jsonb ->> 'units'"
                        + " as units, md5(s.rests_on) as state, " + IS_CURRENT + " as current " + FROM + " where "
                        + query.show().sql + " and (:find = '' or position(:find in " + WORDS + ") > 0)" + after
                        + " order by key, low, f.ref limit :limit")
                .param("core", core.hash())
                .param("day", day)
                .param("find", query.find())
                .param("limit", query.limit() + 1);
        FieldQuery.Cursor from = query.after().orElse(null);
        if (from != null) {
            ask = ask.param("key", from.key()).param("name", from.name()).param("ref", from.ref());
        }
        return ask.query((r, i) -> {
                    String kept = r.getString("list_row");
                    Optional<FieldRow> read = Optional.ofNullable(kept).flatMap(k -> text.kept(k, FieldRow.class));
                    FieldRow row = read.isEmpty()
                            ? bare(r, Optional.empty())
                            : read.get().as(r.getString("state"), r.getBoolean("current"));
                    return new Found(
                            new FieldQuery.Cursor(r.getString("key"), r.getString("low"), r.getString("ref")), row);
                })
                .list();
    }

    private Counts count(FieldQuery query, LocalDate day) {
        return jdbc.sql("select count(*) filter (where " + query.show().sql + " and (:find = '' or position(:find in "
                        + WORDS + ") > 0)) as matching, count(*) as total, count(*) filter (where not " + IS_CURRENT
                        + ") as pending " + FROM)
                .param("core", core.hash())
                .param("day", day)
                .param("find", query.find())
                .query(Counts.class)
                .single();
    }

    /** Pictures of fields as they were last computed, by field; those that have none are left out. */
    Map<String, Evaluation.SectionView> sections(List<String> fieldIds) {
        return contexts.read(() -> {
            Map<String, Evaluation.SectionView> found = new LinkedHashMap<>();
            jdbc.sql("select field_ref, section from field_summary where field_ref in (:ids) and section is not null")
                    .param("ids", fieldIds)
                    .query(r -> {
                        Optional<Evaluation.SectionView> section =
                                text.kept(r.getString("section"), Evaluation.SectionView.class);
                        String field = r.getString("field_ref");
                        section.ifPresent(s -> found.put(field, s));
                    });
            return found;
        });
    }

    /** What decides when it is whose turn, of the fields that have a cover to end. */
    List<FieldTurn> turns() {
        return contexts.read(() -> jdbc
                .sql("select list_row from field_summary where list_row is not null")
                .query((r, i) -> text.kept(r.getString("list_row"), FieldRow.class))
                .list()
                .stream()
                .flatMap(Optional::stream)
                .flatMap(r -> r.turn().stream())
                .toList());
    }

    /** What a field's covers still need. */
    record FieldSeed(String fieldId, String name, List<SeedNeed> needs) {}

    /** The seed that all fields need, and how many of them are not as everything is now. */
    record SeedOfAll(List<FieldSeed> fields, int pending) {}

    SeedOfAll seed(LocalDate day) {
        caughtUp(stale(day), day);
        return contexts.read(() -> new SeedOfAll(
                jdbc.sql("select f.ref, f.name, s.seed from field f join field_summary s on s.field_ref = f.ref"
                                + " and s.workspace_id = f.workspace_id where s.seed is not null"
                                + " order by coalesce(s.next_on, 'infinity'::date), f.name, f.ref")
                        .query((r, i) -> new FieldSeed(
                                r.getString("ref"),
                                r.getString("name"),
                                text.kept(r.getString("seed"), SeedNeed[].class)
                                        .map(List::of)
                                        .orElse(List.of())))
                        .list(),
                count(
                                FieldQuery.of(
                                        Optional.empty(),
                                        Optional.empty(),
                                        Optional.empty(),
                                        Optional.empty(),
                                        Optional.empty()),
                                day)
                        .pending()));
    }

    /** The fields whose summary is not as everything is now. */
    List<String> stale(LocalDate day) {
        return contexts.read(() -> jdbc.sql("select f.ref " + FROM + " where not " + IS_CURRENT + " order by f.ref")
                .param("core", core.hash())
                .param("day", day)
                .query(String.class)
                .list());
    }

    /** The day that the newest summaries are for. */
    Optional<LocalDate> lastDay() {
        return contexts.read(() -> jdbc.sql("select max(as_of) from field_summary")
                .query(LocalDate.class)
                .optional());
    }

    /** Computes the few fields that somebody has just changed while they are looked at; not many, and not when others wait. */
    private boolean caughtUp(List<String> fieldIds, LocalDate day) {
        if (fieldIds.size() > FEW) {
            return false;
        }
        Instant until = clock.instant().plus(AT_ONCE);
        int done = 0;
        while (done < fieldIds.size() && (done == 0 || clock.instant().isBefore(until))) {
            String id = fieldIds.get(done);
            if (!slots.runIfFree(() -> compute(id, day, "a reading", evaluations::forListNow))) {
                break;
            }
            done++;
        }
        return done > 0;
    }

    /** Computes a field in its turn unless that has been done by now; one that is there no more is let go. */
    void refresh(String fieldId, LocalDate day, String by) {
        compute(fieldId, day, by, evaluations::forList);
    }

    /** With everything as it was when its state was read, or newer; then it is stale and computed once more. */
    private void compute(
            String fieldId, LocalDate day, String by, BiFunction<PlanDocument, LocalDate, Evaluated> evaluate) {
        Optional<String> base = contexts.read(() -> base(fieldId, day));
        if (base.isEmpty()) {
            return;
        }
        try {
            PlanDocument plan =
                    contexts.read(() -> plans.current(fieldId).orElseGet(() -> PlanDocument.empty("none", fieldId)));
            Evaluated evaluated = evaluate.apply(plan, day);
            Evaluation e = EvaluationWriter.write(evaluated, WRITTEN);
            Optional<String> place = Outside.place(evaluated.context().field());
            keep(fieldId, base.get(), place, day, by, k -> {
                k.put("list_row", Json.write(row(evaluated, e)));
                k.put("section", Json.write(e.section().orElseThrow().withoutWeather()));
                k.put("seed", Json.write(SeedNeeds.of(evaluated)));
                k.put("next_on", e.next().map(Evaluation.NextDecision::date).orElse(null));
                k.put("stops", count(e, "stop"));
                k.put("words", words(e));
            });
        } catch (EvaluationSlots.Busy | DataAccessException | TransactionException e) {
            // not the plan's fault: it is tried again
            throw e;
        } catch (RuntimeException | StackOverflowError e) {
            LOG.error("a plan cannot be computed for the list", e);
            keep(fieldId, base.get(), Optional.empty(), day, by, k -> k.put("fault", sentence(e)));
        }
    }

    private static String sentence(Throwable e) {
        return e instanceof Refused r
                ? "This plan cannot be computed: " + r.problems().get(0).message() + "."
                : "This plan cannot be computed. Open it: its last changes may be why, and its history brings it back.";
    }

    /** What a field's summary would rest on now; nothing when it is current, or the field is gone. */
    private Optional<String> base(String fieldId, LocalDate day) {
        return jdbc.sql("select " + BASE + " as base " + FROM + " where f.ref = :ref and not " + IS_CURRENT)
                .param("core", core.hash())
                .param("day", day)
                .param("ref", fieldId)
                .query(String.class)
                .optional();
    }

    private void keep(
            String fieldId,
            String base,
            Optional<String> place,
            LocalDate day,
            String by,
            Consumer<Map<String, Object>> parts) {
        Map<String, Object> k = new LinkedHashMap<>();
        for (String column : List.of("list_row", "section", "seed", "next_on", "fault")) {
            k.put(column, null);
        }
        k.put("stops", 0);
        k.put("words", "");
        parts.accept(k);
        if (k.get("fault") != null) {
            k.put("list_row", faultyRow(fieldId, String.valueOf(k.get("fault"))));
        }
        jdbc.sql("""
                insert into field_summary (workspace_id, field_ref, rests_on, place, as_of, computed_by,
                  list_row, section, seed, next_on, stops, words, fault)
                select workspace_id, ref, :base || %s, :place, :day, :by,
                  :list_row, :section, :seed, :next_on, :stops, :words, :fault
                from field where ref = :field
                on conflict (workspace_id, field_ref) do update set rests_on = excluded.rests_on,
                  place = excluded.place, as_of = excluded.as_of, computed_by = excluded.computed_by,
                  list_row = excluded.list_row, section = excluded.section, seed = excluded.seed,
                  next_on = excluded.next_on, stops = excluded.stops, words = excluded.words, fault = excluded.fault
                """.formatted(FORECAST.formatted(":place")))
                .param("base", base)
                .param("place", place.orElse(null), java.sql.Types.VARCHAR)
                .param("day", day)
                .param("by", by)
                .param("field", fieldId)
                .param("list_row", k.get("list_row"), java.sql.Types.VARCHAR)
                .param("section", k.get("section"), java.sql.Types.VARCHAR)
                .param("seed", k.get("seed"), java.sql.Types.VARCHAR)
                .param("next_on", k.get("next_on"), java.sql.Types.DATE)
                .param("stops", k.get("stops"))
                .param("words", k.get("words"))
                .param("fault", k.get("fault"), java.sql.Types.VARCHAR)
                .update();
    }

    private String faultyRow(String fieldId, String fault) {
        return jdbc.sql(
                        "select f.ref, f.name, f.farm_ref, a.name as farm, a.document::jsonb ->> 'units' as units from field f"
                                + " join farm a on a.workspace_id = f.workspace_id and a.ref = f.farm_ref where f.ref = ?")
                .param(fieldId)
                .query((r, i) -> Json.write(bare(r, Optional.of(fault))))
                .optional()
                .orElse(null);
    }

    private static FieldRow bare(ResultSet r, Optional<String> fault) throws SQLException {
        return FieldRow.bare(
                r.getString("ref"),
                r.getString("name"),
                r.getString("farm_ref"),
                r.getString("farm"),
                UnitSystem.of(r.getString("units")),
                fault);
    }

    private static FieldRow row(Evaluated evaluated, Evaluation e) {
        Evaluation.FigureView area = e.field().orElseThrow().area();
        Context context = evaluated.context();
        return new FieldRow(
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
                Optional.empty(),
                FieldTurn.of(evaluated),
                "",
                true);
    }

    /** The names of what stands on the field, to be searched. */
    private static String words(Evaluation e) {
        return e.section().orElseThrow().stands().stream()
                .map(s -> s.label().toLowerCase(Locale.ROOT))
                .distinct()
                .collect(Collectors.joining(" "));
    }

    private static int count(Evaluation e, String weight) {
        return (int) open(e).filter(n -> n.weight().id().equals(weight)).count();
    }

    private static Stream<Evaluation.NoteView> open(Evaluation e) {
        return e.notes().stream().filter(n -> n.answer().isEmpty());
    }
}
