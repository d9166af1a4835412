package app.etlo.core.change;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What differs between two documents of one kind.
 *
 * <p>Objects are compared member by member. Lists whose entries carry keys of their own are compared entry by entry; their
 * order carries no meaning. Every other list, a quantity with its unit, and a GeoJSON geometry are compared whole: half of one
 * with half of another would be neither.
 */
public final class Differences {
    private final List<Difference> found = new ArrayList<>();

    private Differences() {}

    /** The differences in the order of the earlier document, what is new last. */
    public static List<Difference> between(JsonNode before, JsonNode after) {
        Differences differences = new Differences();
        differences.compare(List.of(), Optional.of(before), Optional.of(after));
        return List.copyOf(differences.found);
    }

    private void compare(List<String> path, Optional<JsonNode> before, Optional<JsonNode> after) {
        if (before.equals(after)) {
            return;
        }
        if (before.isPresent() && after.isPresent()) {
            JsonNode b = before.get();
            JsonNode a = after.get();
            if (b.isObject() && a.isObject() && !isWhole(b) && !isWhole(a)) {
                each(path, members(b), members(a));
                return;
            }
            if (b.isArray() && a.isArray()) {
                Optional<Map<String, JsonNode>> keyedB = Keys.of(b);
                Optional<Map<String, JsonNode>> keyedA = Keys.of(a);
                if (keyedB.isPresent() && keyedA.isPresent()) {
                    each(path, keyedB.get(), keyedA.get());
                    return;
                }
            }
        }
        found.add(new Difference(path, before, after));
    }

    private void each(List<String> path, Map<String, JsonNode> before, Map<String, JsonNode> after) {
        Set<String> names = new LinkedHashSet<>(before.keySet());
        names.addAll(after.keySet());
        for (String name : names) {
            List<String> at = new ArrayList<>(path);
            at.add(name);
            compare(at, Optional.ofNullable(before.get(name)), Optional.ofNullable(after.get(name)));
        }
    }

    private static Map<String, JsonNode> members(JsonNode object) {
        Map<String, JsonNode> members = new java.util.LinkedHashMap<>();
        object.fields().forEachRemaining(e -> members.put(e.getKey(), e.getValue()));
        return members;
    }

    /** A quantity with its unit, or a geometry. */
    private static boolean isWhole(JsonNode object) {
        return object.has("unit")
                || object.has("type")
                        && (object.has("coordinates") || object.has("features") || object.has("geometry"));
    }
}
