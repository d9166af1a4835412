package app.etlo.server.log;

import app.etlo.core.plan.document.FieldLog;
import app.etlo.core.plan.document.LogEntry;
import app.etlo.core.plan.document.PlanDocument.CheckEntry;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Adviser;
import app.etlo.server.farm.FarmStore;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What was seen of a field. */
@RestController
class LogController {
    private final FieldLogs logs;
    private final FarmStore farms;
    private final Clock clock;

    LogController(FieldLogs logs, FarmStore farms, Clock clock) {
        this.logs = logs;
        this.farms = farms;
        this.clock = clock;
    }

    /**
     * An entry as it is sent from the field.
     *
     * @param check what was seen; absent to take back the entry that it replaces
     */
    record LogSave(String coverId, LocalDate on, Optional<CheckEntry> check, Optional<String> replaces) {}

    /**
     * @param stands whether no later entry replaces it
     */
    record LogView(
            String ref,
            String coverId,
            LocalDate on,
            String author,
            Instant at,
            Optional<CheckEntry> check,
            boolean stands) {}

    /** Everything that was written down of a field, the newest first. */
    @Access(Who.MEMBER)
    @GetMapping("/api/fields/{fieldId}/log")
    List<LogView> log(@PathVariable String fieldId) {
        List<LogEntry> all = logs.of(farms.field(fieldId).id());
        Set<String> standing =
                FieldLog.standing(all).stream().map(LogEntry::ref).collect(Collectors.toSet());
        return reversed(all).stream()
                .map(e -> new LogView(
                        e.ref(), e.coverId(), e.on(), e.author(), e.at(), e.check(), standing.contains(e.ref())))
                .toList();
    }

    private static <T> List<T> reversed(List<T> all) {
        List<T> found = new ArrayList<>(all);
        Collections.reverse(found);
        return found;
    }

    /** Writes an entry down under a ref of the client's making; sent again it is one entry. */
    @Access(Who.MEMBER)
    @PutMapping("/api/fields/{fieldId}/log/{ref}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void write(
            @PathVariable String fieldId,
            @PathVariable String ref,
            @RequestBody LogSave save,
            @AuthenticationPrincipal Adviser adviser) {
        logs.add(
                farms.field(fieldId).id(),
                new LogEntry(
                        ref,
                        save.coverId(),
                        save.on(),
                        adviser.email(),
                        clock.instant(),
                        save.check().map(c -> c.as(ref)),
                        save.replaces()));
    }
}
