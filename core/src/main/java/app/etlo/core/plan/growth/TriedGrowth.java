package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundScript;
import app.etlo.core.ground.GroundWeather;
import app.etlo.core.mix.SeasonGrowth;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What mixes have come to that were tried in the ground of a plan, and what that ground is like without its cover, so that a list that is
 * looked at again costs nothing. Several threads may use it at once.
 */
public final class TriedGrowth {
    /** A search for mixes tries some hundreds; what is kept of one ground is let go beyond this. */
    private static final int MOST_OF_A_GROUND = 3000;
    /** Covers of a plan, as of each one ground is kept without it. */
    private static final int COVERS = 4;

    private final KnownByGround<Map<Key, SeasonGrowth>> grown;
    private final KnownByGround<Map<String, GroundWithout>> without;

    /** A memory of so many grounds; the one used longest ago is let go. */
    public TriedGrowth(int most) {
        this.grown = new KnownByGround<>(most, ConcurrentHashMap::new);
        this.without = new KnownByGround<>(most * COVERS, ConcurrentHashMap::new);
    }

    record Key(GroundEvents.Trial trial, boolean leftToFrost) {}

    /** What was tried in one ground, to be read and added to. */
    Map<Key, SeasonGrowth> of(GroundScript script, GroundWeather weather, int evening) {
        Map<Key, SeasonGrowth> known = grown.of(script, weather, evening);
        if (known.size() > MOST_OF_A_GROUND) {
            known.clear();
        }
        return known;
    }

    /** What a ground without a cover is like at the next crop's start, by crop, to be read and added to. */
    Map<String, GroundWithout> without(GroundScript script, GroundWeather weather, int evening) {
        return without.of(script, weather, evening);
    }
}
