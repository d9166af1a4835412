package app.etlo.server.weather;

import app.etlo.core.plan.document.ContextCheck;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.WeatherEntry;
import app.etlo.server.documents.DocumentText;
import app.etlo.server.documents.NotFound;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The weather series a practice has imported. A series once read is kept in memory until it is imported again. */
@Service
@Transactional
public class WeatherStore {
    private static final long KEPT_SERIES = 200;

    private final WeatherRepository rows;
    private final DocumentText text;
    private final ApplicationEventPublisher events;
    /** By row and version, which no two practices share. */
    private final Cache<String, WeatherEntry> read =
            Caffeine.newBuilder().maximumSize(KEPT_SERIES).build();

    WeatherStore(WeatherRepository rows, DocumentText text, ApplicationEventPublisher events) {
        this.events = events;
        this.rows = rows;
        this.text = text;
    }

    /** Every series of the practice, in the order they were brought. */
    @Transactional(readOnly = true)
    public List<WeatherEntry> all() {
        return rows.refs().stream().flatMap(r -> find(r).stream()).toList();
    }

    @Transactional(readOnly = true)
    public Optional<WeatherEntry> find(String id) {
        return rows.stateOf(id)
                .map(state -> read.get(
                        state,
                        s -> rows.findByRef(id)
                                .map(r -> text.read(r.document(), WeatherEntry.class))
                                .orElseThrow(() -> new NotFound("weather series"))));
    }

    /** Which state of a series is kept; changes with each import. */
    @Transactional(readOnly = true)
    public Optional<String> stateOf(String id) {
        return rows.stateOf(id);
    }

    /** Keeps a series, in place of an older one of its id. */
    public void put(WeatherEntry entry) {
        ContextCheck.weather(entry);
        WeatherRow row = rows.findByRef(entry.id()).orElseGet(() -> new WeatherRow(entry.id()));
        row.replaceDocument(Json.write(entry));
        changed(rows.saveAndFlush(row));
    }

    public void remove(String id) {
        WeatherRow row = rows.findByRef(id).orElseThrow(() -> new NotFound("weather series"));
        rows.delete(row);
        changed(row);
    }

    private void changed(WeatherRow row) {
        events.publishEvent(new WeatherChanged(row.workspaceId()));
    }
}
