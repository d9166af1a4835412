package app.etlo.core.change;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** What distinguishes the entries of a list: their id, their species, their group, or the rule and subject they answer. */
final class Keys {
    private Keys() {}

    /** The entries by key in their order; nothing when some have none or share one. Such a list is compared as a whole. */
    static Optional<Map<String, JsonNode>> of(JsonNode list) {
        Map<String, JsonNode> byKey = new LinkedHashMap<>();
        for (JsonNode entry : list) {
            Optional<String> key = key(entry);
            if (key.isEmpty() || byKey.put(key.get(), entry) != null) {
                return Optional.empty();
            }
        }
        return Optional.of(byKey);
    }

    /** Where the entry of this key stands in the list, or -1. */
    static int indexOf(ArrayNode list, String key) {
        for (int i = 0; i < list.size(); i++) {
            if (key(list.get(i)).equals(Optional.of(key))) {
                return i;
            }
        }
        return -1;
    }

    private static Optional<String> key(JsonNode entry) {
        for (String name : new String[] {"id", "species", "group"}) {
            if (entry.path(name).isTextual()) {
                return Optional.of(entry.get(name).asText());
            }
        }
        return entry.path("rule").isTextual()
                ? Optional.of(
                        entry.get("rule").asText() + "|" + entry.path("subject").asText())
                : Optional.empty();
    }
}
