package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundScript;
import app.etlo.core.ground.GroundWeather;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.function.Supplier;

/**
 * What was worked out in a ground until an evening: known as long as its events and weather until then are the same, whatever else of a
 * plan has changed. Several threads may use it at once.
 *
 * @param <T> what is kept of a ground
 */
final class KnownByGround<T> {
    private final int most;
    private final Supplier<T> fresh;
    private final Deque<Ground<T>> grounds = new ArrayDeque<>();

    private record Ground<T>(GroundScript script, GroundWeather weather, int evening, T known) {}

    /**
     * @param most grounds; the one used longest ago is let go
     * @param fresh what is kept of a ground that is new
     */
    KnownByGround(int most, Supplier<T> fresh) {
        this.most = most;
        this.fresh = fresh;
    }

    synchronized T of(GroundScript script, GroundWeather weather, int evening) {
        Ground<T> found = grounds.stream()
                .filter(g -> g.evening() == evening
                        && script.sameUntil(g.script()) > evening
                        && weather.sameUntil(g.weather()) > evening)
                .findFirst()
                .orElseGet(() -> new Ground<>(script, weather, evening, fresh.get()));
        grounds.remove(found);
        grounds.addFirst(found);
        while (grounds.size() > most) {
            grounds.removeLast();
        }
        return found.known();
    }
}
