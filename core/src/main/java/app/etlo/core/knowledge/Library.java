package app.etlo.core.knowledge;

import java.util.Collection;
import java.util.Map;
import java.util.Optional;

/** Entries of one kind by id, in the order of their table. */
public record Library<T>(Map<String, T> byId) {
    public Optional<T> find(String id) {
        return Optional.ofNullable(byId.get(id));
    }

    /**
     * @throws IllegalArgumentException when there is no such entry
     */
    public T get(String id) {
        return find(id).orElseThrow(() -> new IllegalArgumentException("unknown '" + id + "'"));
    }

    public Collection<T> all() {
        return byId.values();
    }
}
