package app.etlo.core.knowledge;

import java.util.List;

/** A way of ending a cover, with the passes it takes (ids of operations, possibly none). */
public record TerminationMethod(String id, String name, List<String> operations) {}
