package app.etlo.server.seed;

import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.Problem;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.server.documents.DocumentText;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which plan has taken hold of which seed. No kilogram is promised twice: the lots are locked while they are counted. */
@Service
@Transactional
public class Reservations {
    /** What is left out of account when kilograms are compared. */
    private static final double CRUMB_KG = 1e-6;

    private final ReservationRepository rows;
    private final LotRepository lots;
    private final DocumentText text;
    private final Clock clock;

    Reservations(ReservationRepository rows, LotRepository lots, DocumentText text, Clock clock) {
        this.rows = rows;
        this.lots = lots;
        this.text = text;
        this.clock = clock;
    }

    /** Seed taken by a cover of a plan. */
    public record Taken(String lotId, String planId, String coverId, double kilograms, String by) {}

    @Transactional(readOnly = true)
    public List<Taken> all() {
        return rows.findAll().stream()
                .map(r -> new Taken(r.lotRef(), r.planRef(), r.coverRef(), r.kilograms(), r.author()))
                .toList();
    }

    /** Kilograms of each lot that no other plan has taken. */
    @Transactional(readOnly = true)
    public Map<String, Double> freeKg(String planId) {
        Map<String, Double> free = new HashMap<>();
        lots.findAll().forEach(r -> {
            LotEntry lot = text.read(r.document(), LotEntry.class);
            free.put(lot.id(), lot.stockKg());
        });
        rows.findAll().stream()
                .filter(r -> !r.planRef().equals(planId))
                .forEach(r -> free.merge(r.lotRef(), -r.kilograms(), Double::sum));
        return free;
    }

    /** A mass in the unit in which the stock of its lot was typed. */
    private static String written(double kilograms, LotEntry lot) {
        Unit unit = lot.stock().map(Quantity::unit).orElse(Unit.KILOGRAM);
        return Shown.text(Unit.KILOGRAM.to(unit, kilograms), unit) + " " + unit.written();
    }

    /**
     * Takes hold of seed for a cover, in place of what it held before.
     *
     * @param wantedKg by lot
     * @throws Refused when a lot is gone or holds less; then nothing is changed
     */
    public void hold(String planId, String coverId, Map<String, Double> wantedKg, String author) {
        List<Problem> problems = new ArrayList<>();
        // in the order of their ids, so that two who want the same lots do not wait for each other
        for (var wanted : new TreeMap<>(wantedKg).entrySet()) {
            var row = lots.lockByRef(wanted.getKey());
            if (row.isEmpty()) {
                problems.add(new Problem("/lots/" + wanted.getKey(), "this lot is no longer in the store"));
                continue;
            }
            LotEntry lot = text.read(row.get().document(), LotEntry.class);
            double others = rows.findByLotRef(lot.id()).stream()
                    .filter(r -> !(r.planRef().equals(planId) && r.coverRef().equals(coverId)))
                    .mapToDouble(ReservationRow::kilograms)
                    .sum();
            double free = lot.stockKg() - others;
            if (wanted.getValue() > free + CRUMB_KG) {
                problems.add(new Problem(
                        "/lots/" + lot.id(),
                        lot.label() + " has " + written(Math.max(0, free), lot) + " left, and "
                                + written(wanted.getValue(), lot) + " are needed"));
            }
        }
        if (!problems.isEmpty()) {
            throw new Refused(problems);
        }
        release(planId, coverId);
        wantedKg.forEach((lot, kg) -> {
            if (kg > 0) {
                rows.save(new ReservationRow(lot, planId, coverId, kg, author, clock.instant()));
            }
        });
    }

    /** Lets go of what a cover held. */
    public void release(String planId, String coverId) {
        rows.deleteAll(rows.findByPlanRefAndCoverRef(planId, coverId));
        rows.flush();
    }
}
