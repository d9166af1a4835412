package app.etlo.core.change;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Optional;

/**
 * One place at which two documents differ. The place is a path of member names and, inside lists, of the keys their entries
 * carry; what was added or removed whole is one difference at its top.
 *
 * @param before absent when the place was empty
 * @param after absent when it is empty now
 */
public record Difference(List<String> path, Optional<JsonNode> before, Optional<JsonNode> after) {
    public Difference {
        path = List.copyOf(path);
    }

    /** The same difference seen from the other side. */
    public Difference inverted() {
        return new Difference(path, after, before);
    }
}
