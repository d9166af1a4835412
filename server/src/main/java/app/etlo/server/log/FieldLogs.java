package app.etlo.server.log;

import app.etlo.core.plan.document.LogEntry;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.plan.document.Refused;
import app.etlo.server.documents.DocumentText;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The logs of a practice's fields. */
@Service
@Transactional
public class FieldLogs {
    /** Entries of a field; some hundred a year over many years. */
    private static final long MOST = 5000;

    private final LogRepository rows;
    private final PlanReader reader;
    private final DocumentText text;

    FieldLogs(LogRepository rows, PlanReader reader, DocumentText text) {
        this.text = text;
        this.rows = rows;
        this.reader = reader;
    }

    /** Everything that was written down of a field, the oldest first. */
    @Transactional(readOnly = true)
    public List<LogEntry> of(String fieldId) {
        return rows.findByFieldRefOrderById(fieldId).stream()
                .map(r -> r.entry(text))
                .toList();
    }

    /**
     * Writes an entry down; one that is there already stays as it is, so that it may be sent again.
     *
     * @throws Refused when it cannot be kept, or replaces one that this field does not have
     */
    public void add(String fieldId, LogEntry entry) {
        entry.require(reader);
        if (rows.existsByRef(entry.ref())) {
            return;
        }
        entry.replaces()
                .filter(r -> of(fieldId).stream().noneMatch(e -> e.ref().equals(r)))
                .ifPresent(r -> {
                    throw new Refused("/replaces", "this field's log has no such entry");
                });
        if (rows.countByFieldRef(fieldId) >= MOST) {
            throw new Refused("", "the log of this field is full: " + MOST + " entries");
        }
        rows.save(new LogRow(fieldId, entry));
    }
}
