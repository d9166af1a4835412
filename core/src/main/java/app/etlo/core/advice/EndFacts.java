package app.etlo.core.advice;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What judgements on the end of a cover look at, as simulated for the day on which its first pass falls.
 *
 * @param grazed each day on which stock are let in
 * @param nearRowKgHa nitrogen fed beside the row or in the furrow within days of planting the next crop
 */
public record EndFacts(Stand stand, Plants plants, Optional<Water> water, double nearRowKgHa, List<Grazed> grazed) {
    public static final EndFacts NONE = new EndFacts(
            new Stand(0, Optional.empty(), 1, 0, 0),
            new Plants(Map.of(), Map.of(), Map.of(), Map.of()),
            Optional.empty(),
            0);

    public EndFacts {
        grazed = List.copyOf(grazed);
    }

    public EndFacts(Stand stand, Plants plants, Optional<Water> water, double nearRowKgHa) {
        this(stand, plants, water, nearRowKgHa, List.of());
    }

    /** The same with when it is grazed. */
    public EndFacts grazing(List<Grazed> when) {
        return new EndFacts(stand, plants, water, nearRowKgHa, when);
    }

    /**
     * Stock let in.
     *
     * @param wetShare of the years, or of days and years, in which the top of the soil is too wet to bear them, 0 to 1
     * @param sorghum species that hold prussic acid
     */
    public record Grazed(LocalDate on, double wetShare, List<Sorghum> sorghum) {
        public Grazed {
            sorghum = List.copyOf(sorghum);
        }
    }

    /**
     * A sorghum, sudangrass or hybrid that stock are to eat.
     *
     * @param heightCm middle of the years on that day
     * @param neededCm from which it is grazed
     * @param frosted whether the usual first frost of autumn is before
     */
    public record Sorghum(String name, LocalDate on, double heightCm, double neededCm, boolean frosted) {}

    /**
     * @param topsKgHa dry, the middle of the years
     * @param cn of the tops; empty where next to nothing stands
     * @param aliveShare of the years in which anything of it lives, 0 to 1
     * @param legumeShare of the tops, 0 to 1
     */
    public record Stand(
            double topsKgHa, Optional<Double> cn, double aliveShare, double legumeShare, double grassShare) {}

    /**
     * By species, 0 to 1 where nothing else is said.
     *
     * @param farEnough share of its plants that a roller or a mower kills as it kills flowering ones
     * @param inBloom share of the years in which it flowers and it is warm enough for insects
     * @param seedSoon share of the years in which it has seed that can grow within ten days
     * @param stage of the middle year: 0 at emergence, 1 at early bloom, 2 ripe
     */
    public record Plants(
            Map<String, Double> farEnough,
            Map<String, Double> inBloom,
            Map<String, Double> seedSoon,
            Map<String, Double> stage) {
        public Plants {
            farEnough = Map.copyOf(farEnough);
            inBloom = Map.copyOf(inBloom);
            seedSoon = Map.copyOf(seedSoon);
            stage = Map.copyOf(stage);
        }
    }

    /**
     * The middle of the years.
     *
     * @param topShare water in the top 60 cm three weeks before planting, of what it holds for plants, 0 to 1
     * @param rainMm from the end to ten days after planting
     * @param drinksMm less that the next crop finds than without the cover
     * @param dryYearsPercent years in which the seed zone is dry at planting
     */
    public record Water(double topShare, double rainMm, double drinksMm, double dryYearsPercent) {}
}
