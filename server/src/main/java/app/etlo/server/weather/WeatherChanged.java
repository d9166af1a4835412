package app.etlo.server.weather;

/** Raised when the weather that fields of a practice rest on has changed, in the transaction that changes it. */
public record WeatherChanged(long workspaceId) {}
