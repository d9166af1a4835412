package app.etlo.core.plan.document;

import app.etlo.core.plan.document.PlanDocument.CheckEntry;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** The log of a field, as its plans read it: what was seen of a cover counts like a check of the plan's own. */
public final class FieldLog {
    private FieldLog() {}

    /** The entries that still stand: none that a later one replaces, and none that takes one back. */
    public static List<LogEntry> standing(List<LogEntry> log) {
        Set<String> replaced = log.stream().flatMap(e -> e.replaces().stream()).collect(Collectors.toSet());
        return log.stream()
                .filter(e -> e.check().isPresent() && !replaced.contains(e.ref()))
                .toList();
    }

    /** A plan with what the log says of its covers; a cover that it does not have is none of its business. */
    public static PlanDocument into(PlanDocument plan, List<LogEntry> log) {
        List<LogEntry> standing = standing(log);
        return standing.isEmpty()
                ? plan
                : new PlanDocument(
                        plan.schemaVersion(),
                        plan.id(),
                        plan.fieldId(),
                        plan.name(),
                        plan.crops(),
                        plan.covers().stream().map(c -> seen(c, standing)).toList(),
                        plan.operations(),
                        plan.answers());
    }

    private static CoverEntry seen(CoverEntry cover, List<LogEntry> log) {
        List<CheckEntry> checks = new ArrayList<>(cover.checks().orElse(List.of()));
        Set<String> known = checks.stream().map(CheckEntry::id).collect(Collectors.toSet());
        log.stream()
                .filter(e -> e.coverId().equals(cover.id()) && known.add(e.ref()))
                .forEach(e -> checks.add(e.check().orElseThrow().as(e.ref())));
        return checks.isEmpty() ? cover : cover.checked(Optional.of(List.copyOf(checks)));
    }
}
