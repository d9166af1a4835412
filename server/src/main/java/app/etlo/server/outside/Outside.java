package app.etlo.server.outside;

import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.ForecastEntry;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.timeline.Climates;
import app.etlo.server.documents.DocumentText;
import app.etlo.server.weather.WeatherChanged;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.annotation.Lazy;
import org.springframework.transaction.annotation.Transactional;

/**
 * What outside services last answered for a field. Asking them is a task in the database; a plan is computed with the last good
 * answer, however dead, slow or lying the service is now.
 */
@org.springframework.stereotype.Service
@Transactional
public class Outside {
    /** After a failure it is left alone for so long. */
    private static final Duration REST = Duration.ofMinutes(2);

    private final AnswerRepository answers;
    private final Fetching fetching;
    private final SchedulerClient scheduler;
    private final OneTimeTask<Asking> asking;
    private final DocumentText text;
    private final Clock clock;
    private final ApplicationEventPublisher events;
    private final String forecastUrl;
    private final String probeUrl;

    Outside(
            AnswerRepository answers,
            Fetching fetching,
            @Lazy SchedulerClient scheduler,
            @Lazy OneTimeTask<Asking> asking,
            DocumentText text,
            Clock clock,
            ApplicationEventPublisher events,
            @Value("${etlo.outside.forecast}") String forecastUrl,
            @Value("${etlo.outside.probe}") String probeUrl) {
        this.answers = answers;
        this.fetching = fetching;
        this.scheduler = scheduler;
        this.asking = asking;
        this.text = text;
        this.clock = clock;
        this.events = events;
        this.forecastUrl = forecastUrl;
        this.probeUrl = probeUrl;
    }

    /**
     * One service as it stands for a field.
     *
     * @param on whether there is such a service
     * @param answered when the answer was made that is in use
     * @param asking whether a new one is on its way
     * @param fault why there is no newer one, as a sentence
     */
    public record State<T>(
            boolean on, Optional<Instant> answered, Optional<T> answer, boolean asking, Optional<String> fault) {}

    /** The place whose answers a field uses, when it is known where it lies. */
    public static Optional<String> place(FieldEntry field) {
        return Climates.place(field).map(p -> Asking.place(p.lat(), p.lon()));
    }

    /** The forecast in use at a field, when there is one. */
    @Transactional(readOnly = true)
    public Optional<ForecastEntry> forecast(FieldEntry field) {
        if (forecastUrl.isBlank()) {
            return Optional.empty();
        }
        return place(field)
                .flatMap(p -> answers.findByServiceAndPlace(Service.FORECAST.id(), p))
                .flatMap(AnswerRow::document)
                .map(d -> text.read(d, ForecastEntry.class));
    }

    State<ForecastEntry> forecastState(FieldEntry field, long workspaceId) {
        return state(Service.FORECAST, forecastUrl, field, workspaceId, ForecastEntry.class, ForecastEntry::issued);
    }

    State<Answers.Probe> probeState(FieldEntry field, long workspaceId) {
        return state(Service.PROBE, probeUrl, field, workspaceId, Answers.Probe.class, Answers.Probe::measured);
    }

    private <T> State<T> state(
            Service service,
            String url,
            FieldEntry field,
            long workspaceId,
            Class<T> type,
            java.util.function.Function<T, Instant> made) {
        Optional<FieldEntry.Point> place = Climates.place(field);
        if (url.isBlank() || place.isEmpty()) {
            return new State<>(!url.isBlank(), Optional.empty(), Optional.empty(), false, Optional.empty());
        }
        FieldEntry.Point p = place.get();
        Optional<AnswerRow> row = answers.findByServiceAndPlace(service.id(), Asking.place(p.lat(), p.lon()));
        Instant now = clock.instant();
        boolean fresh = row.flatMap(AnswerRow::fetchedAt)
                .map(at -> at.plus(service.fresh()).isAfter(now))
                .orElse(false);
        boolean resting = row.filter(r -> r.fault().isPresent())
                .map(r -> r.triedAt().plus(REST).isAfter(now))
                .orElse(false);
        boolean ask = !fresh && !resting;
        if (ask) {
            Asking question = new Asking(workspaceId, service.id(), p.lat(), p.lon());
            String id = service.id() + " " + workspaceId + " " + question.place();
            scheduler.scheduleIfNotExists(asking.instance(id, question), now);
        }
        Optional<T> answer = row.flatMap(AnswerRow::document).map(d -> text.read(d, type));
        return new State<>(
                true,
                answer.map(made),
                answer,
                ask,
                row.flatMap(AnswerRow::fault).map(f -> capital(service.words()) + " " + f + "."));
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** Asks a service and keeps its answer, or how it failed. */
    void ask(Asking question) {
        Service service = question.service().equals(Service.PROBE.id()) ? Service.PROBE : Service.FORECAST;
        String url = service == Service.PROBE ? probeUrl : forecastUrl;
        AnswerRow row = answers.findByServiceAndPlace(service.id(), question.place())
                .orElseGet(() -> new AnswerRow(service.id(), question.place()));
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, ZoneOffset.UTC);
        String where = (url.contains("?") ? "&" : "?") + "lat=" + question.lat() + "&lon=" + question.lon();
        try {
            row.answered(
                    service == Service.PROBE
                            ? Json.write(Answers.probe(fetching.text(url + where + "&on=" + today), now))
                            : Json.write(Answers.forecast(fetching.text(url + where + "&from=" + today), today, now)),
                    now);
        } catch (NoAnswer e) {
            row.failed(e.getMessage(), now);
        }
        answers.save(row);
        if (service == Service.FORECAST && row.fault().isEmpty()) {
            events.publishEvent(new WeatherChanged(question.workspaceId()));
        }
    }
}
