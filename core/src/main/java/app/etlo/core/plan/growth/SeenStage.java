package app.etlo.core.plan.growth;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.Arrays;

/** A stage as it is seen in the field: the part of the simulation's scale that its word spans (Etlo's own anchors). */
public enum SeenStage {
    LEAFY("leafy", "leafy", 0, 0.45),
    STEMS("stems", "stems", 0.45, 0.8),
    BEFORE_BLOOM("before-bloom", "before bloom", 0.8, 1),
    IN_BLOOM("in-bloom", "in bloom", 1, 1.3),
    SEED_SET("seed-set", "seed set", 1.3, 2),
    RIPE("ripe", "ripe", 2, 2);

    /** Ripe. */
    static final double LAST = 2;

    /** Of the simulated stage, one standard deviation: a tenth of the warmth to bloom. */
    private static final double FORECAST_ERROR = 0.1;
    /** Nobody judges it finer. */
    private static final double LEAST_ERROR = 0.05;

    private static final Formula CHANGE = Formula.of(
            "Stage after a field check",
            "sf * sf / (sf * sf + so * so) * (max(low, min(high, forecast)) - forecast)",
            Source.identity(
                    "two independent estimates, each weighed by the inverse of its variance; within the seen stage nothing moves"),
            "sf",
            "so",
            "low",
            "high",
            "forecast");

    private final String id;
    private final String words;
    private final double from;
    private final double to;

    SeenStage(String id, String words, double from, double to) {
        this.id = id;
        this.words = words;
        this.from = from;
        this.to = to;
    }

    /**
     * @throws IllegalArgumentException for a word that is no stage
     */
    static SeenStage of(String id) {
        return Arrays.stream(values())
                .filter(s -> s.id.equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no stage '" + id + "'"));
    }

    /** The stage that a number of the simulation lies in. */
    static SeenStage at(double stage) {
        SeenStage found = LEAFY;
        for (SeenStage s : values()) {
            found = stage >= s.from ? s : found;
        }
        return found;
    }

    String words() {
        return words;
    }

    /** What is added to a forecast stage when another one is seen, 0 where they are the same. */
    static Figure change(String id, double forecast, SeenStage seen) {
        return change(id, forecast, seen.from, seen.to);
    }

    /** The same where the stage seen lies between two. */
    static Figure change(String id, double forecast, double from, double to) {
        return CHANGE.figure(
                id,
                "Change of the stage by the field check",
                Unit.FRACTION,
                Input.of("sf", "Error of the forecast", FORECAST_ERROR, Unit.FRACTION, Origin.FORECAST, "model error"),
                Input.of("so", "Error of judging by eye", LEAST_ERROR, Unit.FRACTION, Origin.MEASURED, "field check"),
                Input.of("low", "Where the stage seen begins", from, Unit.FRACTION, Origin.LIBRARY, "own"),
                Input.of("high", "Where it ends", to, Unit.FRACTION, Origin.LIBRARY, "own"),
                Input.of("forecast", "Forecast of that day", forecast, Unit.FRACTION, Origin.FORECAST, "simulation"));
    }
}
