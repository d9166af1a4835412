package app.etlo.server.evaluation;

import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.Context.FarmEntry;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.ForecastEntry;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.MixEntry;
import app.etlo.core.plan.document.WeatherEntry;
import app.etlo.server.farm.FarmStore;
import app.etlo.server.knowledge.Corrections;
import app.etlo.server.log.FieldLogs;
import app.etlo.server.outside.Outside;
import app.etlo.server.seed.Reservations;
import app.etlo.server.seed.SeedStore;
import app.etlo.server.weather.WeatherStore;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Semaphore;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Reads what evaluations rest on, each in a short transaction of its own that ends before anything is computed. Only some of the
 * database's connections are used for it: the others are for saves.
 */
@Service
class EvaluationContexts {
    /** Of the pool's twelve. */
    private static final int CONNECTIONS = 6;

    private final FarmStore farms;
    private final SeedStore seed;
    private final WeatherStore weather;
    private final Outside outside;
    private final Corrections corrections;
    private final Reservations reservations;
    private final FieldLogs logs;
    private final TransactionTemplate reading;
    private final Semaphore connections = new Semaphore(CONNECTIONS, true);

    EvaluationContexts(
            FarmStore farms,
            SeedStore seed,
            WeatherStore weather,
            Outside outside,
            Corrections corrections,
            Reservations reservations,
            FieldLogs logs,
            PlatformTransactionManager transactions) {
        this.farms = farms;
        this.seed = seed;
        this.weather = weather;
        this.outside = outside;
        this.corrections = corrections;
        this.reservations = reservations;
        this.logs = logs;
        this.reading = new TransactionTemplate(transactions);
        this.reading.setReadOnly(true);
    }

    /** Reads something in one of the connections set aside for reading. */
    <T> T read(Supplier<T> what) {
        connections.acquireUninterruptibly();
        try {
            return reading.execute(status -> what.get());
        } finally {
            connections.release();
        }
    }

    /** What a plan is evaluated with. */
    Context of(PlanDocument plan) {
        return read(() -> {
            FieldEntry field = farms.field(plan.fieldId());
            Set<String> named = plan.covers().stream()
                    .flatMap(c -> c.mix().stream())
                    .flatMap(MixEntry::lotIds)
                    .collect(Collectors.toSet());
            List<LotEntry> lots = named.isEmpty()
                    ? List.of()
                    : seed.all().stream().filter(l -> named.contains(l.id())).toList();
            return new Context(
                    farms.farm(field.farmId()),
                    field,
                    lots,
                    field.weather().flatMap(weather::find),
                    outside.forecast(field),
                    corrections.all(),
                    logs.of(field.id()));
        });
    }

    /** Seed of the practice, and what of each lot other plans have not taken. */
    record Store(List<LotEntry> lots, Map<String, Double> freeKg) {}

    Store store(PlanDocument plan) {
        return read(() -> new Store(seed.all(), reservations.freeKg(plan.id())));
    }

    /** What the weather of a field comes from. */
    record Site(FieldEntry field, FarmEntry farm, Optional<WeatherEntry> series, Optional<ForecastEntry> forecast) {}

    Site site(String fieldId) {
        return read(() -> {
            FieldEntry field = farms.field(fieldId);
            return new Site(
                    field, farms.farm(field.farmId()), field.weather().flatMap(weather::find), outside.forecast(field));
        });
    }
}
