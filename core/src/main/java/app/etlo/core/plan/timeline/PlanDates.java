package app.etlo.core.plan.timeline;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.CountedBackEntry;
import app.etlo.core.plan.document.PlanDocument.DegreeDaysEntry;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.weather.DegreeDays;
import app.etlo.core.weather.Percentiles;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** The days on which the operations of a plan fall: as typed, by degree days, counted back from a market date, or so far from another. */
public final class PlanDates {
    private final Knowledge knowledge;
    private final PlanLookup lookup;
    private final Optional<YearsAhead> years;
    private final Map<String, DatedBy> byOperation = new LinkedHashMap<>();

    public PlanDates(PlanDocument plan, Knowledge knowledge, Optional<YearsAhead> years) {
        this.knowledge = knowledge;
        this.lookup = new PlanLookup(plan);
        this.years = years;
        for (Operation o : plan.operations()) {
            o.when()
                    .on()
                    .map(DatedBy::typed)
                    .or(() -> o.when().countedBack().map(c -> back(o, c)))
                    .ifPresent(d -> byOperation.put(o.id(), d));
        }
        for (Operation o : plan.operations()) {
            o.when().degreeDays().flatMap(d -> warm(o, d)).ifPresent(d -> byOperation.put(o.id(), d));
        }
        for (Operation o : plan.operations()) {
            o.when()
                    .offset()
                    .flatMap(x -> Optional.ofNullable(byOperation.get(x.from())).map(from -> from.moved(x.days())))
                    .ifPresent(d -> byOperation.put(o.id(), d));
        }
    }

    Optional<LocalDate> day(Operation o) {
        return Optional.ofNullable(byOperation.get(o.id())).map(DatedBy::on);
    }

    public Map<String, DatedBy> all() {
        return Collections.unmodifiableMap(byOperation);
    }

    private Optional<Crop> crop(Operation o) {
        return o.subject().flatMap(lookup::crop).map(c -> knowledge.crops().get(c.crop()));
    }

    private DatedBy back(Operation o, CountedBackEntry c) {
        int days = c.days()
                .or(() -> crop(o).map(k -> k.growing().daysToMaturity()))
                .orElse(0);
        String how = Shown.date(c.from()) + " less " + days + " days"
                + (c.days().isPresent() ? "" : " to maturity, by the library");
        return new DatedBy(c.from().minusDays(days), Optional.empty(), Optional.empty(), Optional.of(how));
    }

    private Optional<DatedBy> warm(Operation o, DegreeDaysEntry d) {
        Optional<Crop> crop = crop(o);
        Optional<LocalDate> planted = o.subject().flatMap(lookup::sow).flatMap(this::day);
        if (crop.isEmpty() || planted.isEmpty()) {
            return Optional.empty();
        }
        Crop.Growing g = crop.get().growing();
        DegreeDays method = method(g);
        double sum = d.sum().orElse(g.maturityDegreeDays());
        if (sum <= 0) {
            return Optional.empty();
        }
        String what = Said.of(sum, Unit.DEGREE_DAY_C) + " after planting, " + method.words();
        Optional<Percentiles> days = years.map(y -> Percentiles.of(y.daysTo(method, planted.get(), sum)));
        if (days.filter(p -> Double.isFinite(p.at(0.5))).isEmpty()) {
            return Optional.of(new DatedBy(
                    planted.get().plusDays(g.daysToMaturity()),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.of(what + (days.isPresent() ? ": not reached within the plan's years" : ": no weather")
                            + ", so by days to maturity")));
        }
        Percentiles p = days.get();
        return Optional.of(new DatedBy(
                planted.get().plusDays(Math.round(p.at(0.5))),
                finite(planted.get(), p.at(0.1)),
                finite(planted.get(), p.at(0.9)),
                Optional.of(what)));
    }

    public static DegreeDays method(Crop.Growing g) {
        return new DegreeDays(g.baseC(), g.ceilingC().orElse(Double.POSITIVE_INFINITY));
    }

    private static Optional<LocalDate> finite(LocalDate from, double days) {
        return Double.isFinite(days) ? Optional.of(from.plusDays(Math.round(days))) : Optional.empty();
    }
}
