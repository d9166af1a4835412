package app.etlo.core.weather;

/** A file that cannot be read as weather at all; the message says what was expected. */
public final class UnreadableWeather extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public UnreadableWeather(String message) {
        super(message);
    }
}
