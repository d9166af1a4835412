package app.etlo.core.plan.growth;

import app.etlo.core.ground.GrassGrounds;
import app.etlo.core.ground.GroundMemory;

/**
 * What was simulated before, for whoever asks for something like it next. No figure depends on it.
 *
 * @param runs of plans
 * @param tried mixes and species tried in them
 * @param grass ground under short grass, by place
 */
public record GrowthMemory(GroundMemory runs, TriedGrowth tried, GrassGrounds grass) {
    public GrowthMemory(GroundMemory runs, TriedGrowth tried) {
        this(runs, tried, new GrassGrounds());
    }
}
