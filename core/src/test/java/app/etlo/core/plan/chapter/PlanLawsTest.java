package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.Choices;
import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.Species;
import app.etlo.core.plan.FiguresShown;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.ComponentEntry;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.plan.document.PlanDocument.CropEntry;
import app.etlo.core.plan.document.PlanDocument.MixEntry;
import app.etlo.core.plan.document.PlanDocument.PlaceEntry;
import app.etlo.core.plan.document.PlanDocument.StandEntry;
import app.etlo.core.plan.document.PlanEdit;
import app.etlo.core.plan.shown.Evaluation;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.plan.timeline.PlanDates;
import app.etlo.core.plan.timeline.Timeline;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.termination.Evidence;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Input;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Whatever plan the reader lets through is evaluated, and its balances close. Plans are made up of choices, so that one that fails shrinks. */
class PlanLawsTest {
    private static final Context CONTEXT = Plans.dossier().context();
    private static final LocalDate FIRST = LocalDate.of(2024, 1, 1);

    @Provide
    Arbitrary<PlanDocument> plans() {
        return Choices.upTo(120).map(PlanLawsTest::madeUp);
    }

    /** A plan with up to four crops and covers, dates in any order, some things left out. */
    private static PlanDocument madeUp(Random r) {
        List<Crop> crops = List.copyOf(Plans.KNOWLEDGE.crops().all());
        List<Species> species = List.copyOf(Plans.KNOWLEDGE.species().all());
        List<CropEntry> cropEntries = new ArrayList<>();
        List<CoverEntry> covers = new ArrayList<>();
        List<Operation> operations = new ArrayList<>();
        int n = r.nextInt(5);
        for (int i = 0; i < n; i++) {
            Crop crop = crops.get(r.nextInt(crops.size()));
            Optional<Quantity> goal = r.nextInt(4) == 0
                    ? Optional.empty()
                    : Optional.of(new Quantity(r.nextDouble() * 12, r.nextBoolean() ? Unit.T_PER_HA : Unit.TON_PER_AC));
            cropEntries.add(
                    new CropEntry("c" + i, crop.id(), goal, Optional.empty(), Optional.empty(), Optional.empty()));
            dated(operations, r, "sow", "c" + i);
            dated(operations, r, "harvest", "c" + i);
            if (r.nextBoolean()) {
                covers.add(cover("v" + i, "c" + i, r, species));
                dated(operations, r, "sow", "v" + i);
                dated(operations, r, "end", "v" + i);
            }
        }
        return new PlanDocument(2, "p1", "f1", Optional.empty(), cropEntries, covers, operations, List.of());
    }

    private static void dated(List<Operation> operations, Random r, String kind, String subject) {
        if (r.nextInt(5) > 0) {
            operations.add(PlanEdit.plain("o" + operations.size(), kind, subject, FIRST.plusDays(r.nextInt(1400))));
        }
    }

    private static CoverEntry cover(String id, String crop, Random r, List<Species> species) {
        List<Species> some = new ArrayList<>(species);
        Collections.shuffle(some, r);
        List<ComponentEntry> components = some.subList(0, r.nextInt(8)).stream()
                .map(s -> new ComponentEntry(
                        s.id(),
                        Optional.of((double) r.nextInt(120)),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()))
                .toList();
        Optional<StandEntry> stand = r.nextBoolean()
                ? Optional.empty()
                : Optional.of(new StandEntry(
                        r.nextBoolean() ? Evidence.EXPECTED : Evidence.WEIGHED,
                        Optional.of(new Quantity(r.nextDouble() * 12, Unit.T_PER_HA)),
                        Optional.of(r.nextDouble() * 5),
                        Optional.empty(),
                        Optional.empty()));
        return new CoverEntry(
                id,
                new PlaceEntry("before", crop, Optional.empty()),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new MixEntry("share", components, Optional.empty(), Optional.empty(), Optional.empty())),
                stand,
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static Evaluated evaluate(PlanDocument plan) {
        return new Evaluator(Plans.KNOWLEDGE).evaluate(plan, CONTEXT, Plans.AS_OF);
    }

    @Property(tries = 300)
    void every_plan_the_reader_takes_is_evaluated_and_written(@ForAll("plans") PlanDocument plan) {
        assertThat(Plans.READER.read(Json.write(plan))).isEqualTo(plan);
        Evaluation e = EvaluationWriter.write(evaluate(plan));
        assertThat(e.section().orElseThrow().from())
                .isBefore(e.section().orElseThrow().to());
        FiguresShown.of(e).values().forEach(f -> {
            assertThat(Double.isFinite(f.value())).as(f.id()).isTrue();
            assertThat(f.text()).as(f.id()).isNotBlank();
            f.lowValue().ifPresent(low -> assertThat(f.value()).as(f.id()).isGreaterThanOrEqualTo(low));
            f.highValue().ifPresent(high -> assertThat(f.value()).as(f.id()).isLessThanOrEqualTo(high));
        });
        e.windows().forEach(w -> assertThat(w.from()).isBefore(w.to()));
    }

    @Property(tries = 200)
    void the_nitrogen_balance_closes_and_ratings_add_up(@ForAll("plans") PlanDocument plan) {
        Evaluated e = evaluate(plan);
        for (var c : e.crops()) {
            Figure need = e.figures().get("feed/" + c.crop().id() + "/need");
            Figure left = e.figures().get("feed/" + c.crop().id() + "/leftToBuy");
            assertThat(left == null).isEqualTo(need == null);
            if (need != null && left != null) {
                double taken = c.feed().ledger().counted().stream()
                        .mapToDouble(l -> l.amount().in(Unit.KG_PER_HA))
                        .sum();
                assertThat(left.middle()).isCloseTo(Math.max(0, need.in(Unit.KG_PER_HA) - taken), within(1e-9));
            }
            Figure rating = e.figures().get("plant/" + c.crop().id() + "/rating");
            if (rating != null) {
                double sum = c.passes().stream()
                        .mapToDouble(p -> e.figures()
                                .get("plant/" + c.crop().id() + "/" + p.id() + "/rating")
                                .middle())
                        .sum();
                assertThat(rating.middle()).isCloseTo(sum, within(1e-9));
            }
        }
    }

    @Property(tries = 200)
    void every_pass_counts_once(@ForAll("plans") PlanDocument plan) {
        Evaluated e = evaluate(plan);
        List<String> counted = new ArrayList<>();
        e.crops().forEach(c -> c.passes().forEach(p -> counted.add(p.id() + p.date())));
        e.laterPasses().forEach(p -> counted.add(p.id() + p.date()));
        assertThat(counted).doesNotHaveDuplicates();
        assertThat(counted)
                .hasSameSizeAs(
                        new Timeline(plan, Plans.KNOWLEDGE, new PlanDates(plan, Plans.KNOWLEDGE, Optional.empty()))
                                .passes());
    }

    @Property(tries = 100)
    void the_order_of_a_plans_lists_changes_no_figure(@ForAll("plans") PlanDocument plan) {
        List<Operation> turned = new ArrayList<>(plan.operations());
        Collections.reverse(turned);
        List<CoverEntry> covers = new ArrayList<>(plan.covers());
        Collections.reverse(covers);
        PlanDocument other = new PlanDocument(
                2, plan.id(), plan.fieldId(), plan.name(), plan.crops(), covers, turned, plan.answers());
        var a = evaluate(plan).figures();
        var b = evaluate(other).figures();
        assertThat(b.keySet()).isEqualTo(a.keySet());
        a.forEach((id, f) -> assertThat(b.get(id).middle()).as(id).isCloseTo(f.middle(), within(1e-9)));
    }

    @Property(tries = 100)
    void a_figure_used_in_another_is_the_same_figure(@ForAll("plans") PlanDocument plan) {
        Evaluated e = evaluate(plan);
        for (Figure f : e.figures().values()) {
            for (Input i : f.working().inputs()) {
                i.figureId().ifPresent(id -> {
                    Figure used = e.figures().get(id);
                    assertThat(used).as(f.id() + " <- " + id).isNotNull();
                    assertThat(i.value().middle())
                            .as(f.id() + " <- " + id)
                            .isCloseTo(used.in(i.unit()), within(1e-9 * Math.max(1, Math.abs(used.middle()))));
                });
            }
        }
    }
}
