package app.etlo.server.evaluation;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.asked.SeedNeeds;
import app.etlo.core.plan.asked.SeedNeeds.SeedNeed;
import app.etlo.core.plan.asked.SeedOrders;
import app.etlo.core.plan.asked.SeedOrders.Order;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.LotCsv;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.Refused;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Accounts;
import app.etlo.server.account.Adviser;
import app.etlo.server.account.PracticeDay;
import app.etlo.server.evaluation.FieldSummaries.SeedOfAll;
import app.etlo.server.plan.PlanStore;
import app.etlo.server.seed.Reservations;
import app.etlo.server.seed.Reservations.Taken;
import app.etlo.server.seed.SeedStore;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Seed across all fields: what is needed, what is held, what is free, what must be bought. */
@RestController
class SeedController {
    private final FieldSummaries summaries;
    private final Evaluations evaluations;
    private final PlanStore plans;
    private final SeedStore store;
    private final Reservations reservations;
    private final Knowledge knowledge;
    private final PracticeDay day;
    private final Accounts accounts;

    SeedController(
            FieldSummaries summaries,
            Evaluations evaluations,
            PlanStore plans,
            SeedStore store,
            Reservations reservations,
            Knowledge knowledge,
            PracticeDay day,
            Accounts accounts) {
        this.accounts = accounts;
        this.day = day;
        this.summaries = summaries;
        this.evaluations = evaluations;
        this.plans = plans;
        this.store = store;
        this.reservations = reservations;
        this.knowledge = knowledge;
    }

    /** Kilograms of a lot. */
    record StockView(String lotId, double stockKg, double heldKg, double freeKg) {}

    /**
     * A need with the field it is for.
     *
     * @param heldKg what its cover holds of the species already
     */
    record NeedView(String fieldId, String fieldName, SeedNeed need, double heldKg) {}

    /**
     * @param pending fields that are not computed yet
     */
    record SeedView(List<StockView> stock, List<NeedView> needs, List<Order> orders, int pending) {}

    /** Seed across all fields, for the practice's day. */
    @Access(Who.MEMBER)
    @GetMapping("/api/seed")
    SeedView seed(@AuthenticationPrincipal Adviser adviser) {
        List<LotEntry> lots = store.all();
        List<Taken> taken = reservations.all();
        Map<String, Double> byLot =
                taken.stream().collect(Collectors.groupingBy(Taken::lotId, Collectors.summingDouble(Taken::kilograms)));
        Map<String, Double> free = new HashMap<>();
        lots.forEach(l -> free.put(l.id(), l.stockKg() - byLot.getOrDefault(l.id(), 0.0)));
        Map<String, Double> held = held(taken, lots);
        SeedOfAll fields = summaries.seed(day.of(adviser.workspaceId()));
        List<NeedView> needs = fields.fields().stream()
                .flatMap(f -> f.needs().stream()
                        .map(n ->
                                new NeedView(f.fieldId(), f.name(), n, held.getOrDefault(SeedOrders.heldKey(n), 0.0))))
                .toList();
        return new SeedView(
                lots.stream()
                        .map(l -> new StockView(l.id(), l.stockKg(), byLot.getOrDefault(l.id(), 0.0), free.get(l.id())))
                        .toList(),
                needs,
                SeedOrders.of(needs.stream().map(NeedView::need).toList(), lots, held, free),
                fields.pending());
    }

    private static Map<String, Double> held(List<Taken> taken, List<LotEntry> lots) {
        Map<String, String> species = lots.stream().collect(Collectors.toMap(LotEntry::id, LotEntry::species));
        return taken.stream()
                .filter(t -> species.containsKey(t.lotId()))
                .collect(Collectors.groupingBy(
                        t -> t.planId() + "/" + t.coverId() + "/" + species.get(t.lotId()),
                        Collectors.summingDouble(Taken::kilograms)));
    }

    /** The order list as a table, in the person's units. */
    @Access(Who.MEMBER)
    @GetMapping(value = "/api/seed/orders.csv", produces = "text/csv")
    String orders(@AuthenticationPrincipal Adviser adviser) {
        return SeedOrders.write(seed(adviser).orders(), accounts.units(adviser));
    }

    /** The lots as a table in the person's units, as they can be read in again. */
    @Access(Who.MEMBER)
    @GetMapping(value = "/api/lots.csv", produces = "text/csv")
    String lots(@AuthenticationPrincipal Adviser adviser) {
        return LotCsv.write(store.all(), knowledge, accounts.units(adviser));
    }

    /** Takes hold of what a cover of the saved plan needs of the lots its mix names, in place of what it held before. */
    @Access(Who.MEMBER)
    @PutMapping("/api/plans/{planId}/covers/{coverId}/seed")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void hold(
            @PathVariable String planId,
            @PathVariable String coverId,
            @RequestParam LocalDate asOf,
            @AuthenticationPrincipal Adviser adviser) {
        PlanDocument plan = plans.at(planId).plan();
        Map<String, Double> wanted = new HashMap<>();
        evaluations.evaluated(plan, asOf, SeedNeeds::of).stream()
                .filter(n -> n.coverId().equals(coverId))
                .forEach(n -> n.lotId().ifPresent(lot -> wanted.merge(lot, n.kilograms(), Double::sum)));
        if (wanted.isEmpty()) {
            throw new Refused(
                    "/coverId", "the mix names no lot yet, or is sown already: choose lots at step Mix first");
        }
        reservations.hold(planId, coverId, wanted, adviser.email());
    }

    @Access(Who.MEMBER)
    @DeleteMapping("/api/plans/{planId}/covers/{coverId}/seed")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void release(@PathVariable String planId, @PathVariable String coverId) {
        reservations.release(plans.at(planId).plan().id(), coverId);
    }
}
