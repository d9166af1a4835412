package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.Use;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
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
    /** A pod or head wants about so long from the eye to the seed: clipped so many days before the earliest seed. Etlo's own margin. */
    private static final int MARGIN_DAYS = 7;
    /** Buckwheat cut in bloom flowers again in about two weeks (common practice); others that regrow in five, from memory. */
    private static final int BUCKWHEAT_AGAIN_DAYS = 14;

    private static final int AGAIN_DAYS = 35;

    /** The last day on which clipping keeps it from seed in nine years of ten; empty where it sets none before its end. */
    public Optional<LocalDate> clipBy() {
        return seeds.map(s -> s.early().minusDays(MARGIN_DAYS));
    }

    /** When it flowers again after that; empty where it sets no seed, or does not grow again. */
    public Optional<LocalDate> bloomsAgain() {
        return clipBy().filter(d -> species.use().regrowth() != Use.Level.LOW || isBuckwheat())
                .map(d -> d.plusDays(isBuckwheat() ? BUCKWHEAT_AGAIN_DAYS : AGAIN_DAYS));
    }

    private boolean isBuckwheat() {
        return species.id().equals("buckwheat");
    }

    /** Days on which insects find it in flower before a day, in the middle year; 0 where it does not flower, or few visit it. */
    public int insectDays(LocalDate until) {
        if (species.use().insects() == 0) {
            return 0;
        }
        return blooms.map(b -> (int)
                        Math.max(0, Math.min(species.use().bloomDays(), ChronoUnit.DAYS.between(b.middle(), until))))
                .orElse(0);
    }

    /** Days, the earliest of 8 years in 10, the middle and the latest. */
    public record Span(LocalDate early, LocalDate middle, LocalDate late) {}
}
