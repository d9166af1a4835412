package app.etlo.core.knowledge;

import app.etlo.core.working.Source;

/** A way of getting seed into the ground, with the factor on the drilled rate. */
public record SowingMethod(String id, String name, double rateFactor, String operation, Source source) {}
