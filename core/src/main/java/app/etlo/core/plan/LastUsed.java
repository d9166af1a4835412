package app.etlo.core.plan;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/** Keeps a bounded number of things that are expensive to make; the one used longest ago is let go. Several threads may use it. */
public final class LastUsed<V> {
    private final Map<String, V> kept;

    public LastUsed(int most) {
        this.kept = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<String, V> eldest) {
                return size() > most;
            }
        });
    }

    /** What is kept under a key, made when it is not there. */
    public V get(String key, Supplier<V> make) {
        return kept.computeIfAbsent(key, k -> make.get());
    }
}
