package app.etlo.core.change;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Puts changes made to one state of a document upon another state of it.
 *
 * <p>A change fits where its place still holds what it held before the change, or already holds what the change makes of it.
 * Everything else overlaps: somebody else changed the same place since.
 *
 * @param document with all changes that fit, and, where asked to override, the others as far as their place is still there
 * @param overlaps the changes that do not fit, each from what its place holds now
 */
public record Merge(JsonNode document, List<Difference> overlaps) {
    /** Applies what fits and leaves the rest. */
    public static Merge gently(JsonNode target, List<Difference> changes) {
        return apply(target, changes, false);
    }

    /** Applies everything whose place is still there, over what others did. */
    public static Merge overriding(JsonNode target, List<Difference> changes) {
        return apply(target, changes, true);
    }

    private static Merge apply(JsonNode target, List<Difference> changes, boolean override) {
        JsonNode document = target.deepCopy();
        List<Difference> overlaps = new ArrayList<>();
        for (Difference change : changes) {
            Optional<JsonNode> parent = parent(document, change.path());
            String name = change.path().isEmpty()
                    ? ""
                    : change.path().get(change.path().size() - 1);
            Optional<JsonNode> now = parent.flatMap(p -> child(p, name));
            if (parent.isPresent() && now.equals(change.after())) {
                continue;
            }
            boolean fits = parent.isPresent() && now.equals(change.before());
            if (!fits) {
                overlaps.add(new Difference(change.path(), now, change.after()));
            }
            if (fits || override && parent.isPresent()) {
                put(parent.get(), name, change.after());
            }
        }
        return new Merge(document, List.copyOf(overlaps));
    }

    private static Optional<JsonNode> parent(JsonNode document, List<String> path) {
        if (path.isEmpty()) {
            return Optional.empty();
        }
        Optional<JsonNode> at = Optional.of(document);
        for (String name : path.subList(0, path.size() - 1)) {
            at = at.flatMap(n -> child(n, name));
        }
        return at.filter(JsonNode::isContainerNode);
    }

    private static Optional<JsonNode> child(JsonNode node, String name) {
        if (node instanceof ArrayNode list) {
            int i = Keys.indexOf(list, name);
            return i < 0 ? Optional.empty() : Optional.of(list.get(i));
        }
        return Optional.ofNullable(node.get(name));
    }

    private static void put(JsonNode parent, String name, Optional<JsonNode> value) {
        if (parent instanceof ArrayNode list) {
            int i = Keys.indexOf(list, name);
            if (value.isEmpty()) {
                list.remove(i);
            } else if (i < 0) {
                list.add(value.get().deepCopy());
            } else {
                list.set(i, value.get().deepCopy());
            }
        } else if (parent instanceof ObjectNode object) {
            if (value.isEmpty()) {
                object.remove(name);
            } else {
                object.set(name, value.get().deepCopy());
            }
        }
    }
}
