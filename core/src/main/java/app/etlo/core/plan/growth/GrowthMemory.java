package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundMemory;

/**
 * What was simulated before, for whoever asks for something like it next. No figure depends on it.
 *
 * @param runs of plans
 * @param tried mixes and species tried in them
 */
public record GrowthMemory(GroundMemory runs, TriedGrowth tried) {}
