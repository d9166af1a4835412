package app.etlo.server.outside;

import java.time.Duration;

/** The services Etlo asks, each with how long its answer is fresh. */
enum Service {
    FORECAST("forecast", "the forecast service", Duration.ofHours(3)),
    PROBE("probe", "the soil probe", Duration.ofHours(1));

    private final String id;
    private final String words;
    private final Duration fresh;

    Service(String id, String words, Duration fresh) {
        this.id = id;
        this.words = words;
        this.fresh = fresh;
    }

    String id() {
        return id;
    }

    String words() {
        return words;
    }

    Duration fresh() {
        return fresh;
    }
}
