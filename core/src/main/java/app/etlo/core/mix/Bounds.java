package app.etlo.core.mix;

import java.util.Optional;

/** A span of which either end may be open. */
public record Bounds(Optional<Double> least, Optional<Double> most) {
    public static final Bounds OPEN = new Bounds(Optional.empty(), Optional.empty());

    public Bounds {
        least = least == null ? Optional.empty() : least;
        most = most == null ? Optional.empty() : most;
    }

    public static Bounds of(double least, double most) {
        return new Bounds(Optional.of(least), Optional.of(most));
    }

    public static Bounds atLeast(double least) {
        return new Bounds(Optional.of(least), Optional.empty());
    }

    public static Bounds atMost(double most) {
        return new Bounds(Optional.empty(), Optional.of(most));
    }

    public boolean isOpen() {
        return least.isEmpty() && most.isEmpty();
    }
}
