package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundScript;
import app.etlo.core.ground.GroundWeather;
import app.etlo.core.mix.SeasonGrowth;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What mixes have come to that were tried in the ground of a plan, so that a list that is looked at again costs nothing. What is kept is
 * of the same events and weather up to the evening that was asked for, whatever else of the plan has changed. Several threads may
 * use it at once.
 */
public final class TriedGrowth {
    /** A search for mixes tries some hundreds; what is kept of one ground is let go beyond this. */
    private static final int MOST_OF_A_GROUND = 3000;

    private final int most;
    private final Deque<Ground> grounds = new ArrayDeque<>();

    /** A memory of so many grounds; the one used longest ago is let go. */
    public TriedGrowth(int most) {
        this.most = most;
    }

    private record Ground(GroundScript script, GroundWeather weather, int evening, Map<Key, SeasonGrowth> grown) {}

    record Key(GroundEvents.Trial trial, boolean leftToFrost) {}

    /** What was tried in one ground, to be read and added to. */
    synchronized Map<Key, SeasonGrowth> of(GroundScript script, GroundWeather weather, int evening) {
        Ground found = grounds.stream()
                .filter(g -> g.evening() == evening
                        && script.sameUntil(g.script()) > evening
                        && weather.sameUntil(g.weather()) > evening)
                .findFirst()
                .orElseGet(() -> new Ground(script, weather, evening, new ConcurrentHashMap<>()));
        if (found.grown().size() > MOST_OF_A_GROUND) {
            found.grown().clear();
        }
        grounds.remove(found);
        grounds.addFirst(found);
        while (grounds.size() > most) {
            grounds.removeLast();
        }
        return found.grown();
    }
}
