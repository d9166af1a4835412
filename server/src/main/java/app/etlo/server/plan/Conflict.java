package app.etlo.server.plan;

import java.time.Instant;
import java.util.List;

/** Somebody else saved in between. */
final class Conflict extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final transient Comparison comparison;

    Conflict(Comparison comparison) {
        super("the plan was saved elsewhere in the meantime");
        this.comparison = comparison;
    }

    Comparison comparison() {
        return comparison;
    }

    /**
     * How two states that grew from one differ, in words.
     *
     * @param head the number of the newest revision
     * @param author who saved it, by name
     * @param theirs what others changed since the common state
     * @param mine what the editor changed since
     * @param overlaps the editor's changes that meet with another's in one place; without any, both can be kept
     */
    record Comparison(
            int head, String author, Instant savedAt, List<String> theirs, List<String> mine, List<String> overlaps) {}
}
