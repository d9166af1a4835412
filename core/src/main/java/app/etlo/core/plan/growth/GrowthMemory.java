package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundMemory;
import app.etlo.core.ground.OpenGrounds;

/**
 * What was simulated before, for whoever asks for something like it next. No figure depends on it.
 *
 * @param runs of plans
 * @param tried mixes and species tried in them
 * @param open bare ground of places
 */
public record GrowthMemory(GroundMemory runs, TriedGrowth tried, OpenGrounds open) {
    public GrowthMemory(GroundMemory runs, TriedGrowth tried) {
        this(runs, tried, new OpenGrounds());
    }
}
