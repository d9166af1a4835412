package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import java.time.LocalDate;
import java.util.Optional;

/**
 * When a species of a cover flowers and when its first seed can grow, as simulated until its end; a day is that of the middle year of
 * those that come so far.
 *
 * @param blooms first and last of 8 years in 10, with the middle; empty where it flowers in fewer than one year in ten
 * @param seeds the same for seed that can grow
 * @param bloomYears of {@code years} in which it flowers before its end
 */
public record BloomClock(
        Species species, Optional<Span> blooms, Optional<Span> seeds, int bloomYears, int seedYears, int years) {
    /** Days, the earliest of 8 years in 10, the middle and the latest. */
    public record Span(LocalDate early, LocalDate middle, LocalDate late) {}
}
