package app.etlo.core.knowledge;

/** What a cover may be for. */
public record Aim(String id, String name) {}
