package app.etlo.core.knowledge;

import app.etlo.core.quantity.Band;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A way of ending a cover.
 *
 * @param operations ids of the passes it takes, possibly none
 * @param means what does the killing; with more than one the best of them counts
 * @param standingShare share of the killed tops that stays upright, 0 to 1
 */
public record TerminationMethod(
        String id, String name, List<String> operations, Set<Means> means, double standingShare, Practice practice) {
    /** Share of plants that a method kills well. */
    public static final double KILLS_WELL = 0.8;

    /**
     * How it is done.
     *
     * @param machines kinds of machine that it takes, possibly none
     * @param costPerHa of its passes, library money, without products
     * @param haPerHour that one machine does; empty where none is needed
     * @param gapDays that are usually left before planting
     * @param works at which stages and sizes
     * @param leaves what the residue is like
     */
    public record Practice(
            List<String> machines,
            Band costPerHa,
            Optional<Double> haPerHour,
            Optional<Double> speedKmH,
            int gapDays,
            String works,
            String weather,
            String leaves,
            Source source) {
        public Practice {
            machines = List.copyOf(machines);
        }
    }

    public TerminationMethod {
        operations = List.copyOf(operations);
        means = Set.copyOf(means);
    }

    /** What kills a plant. */
    public enum Means implements Named {
        WINTER("winter"),
        HERBICIDE("herbicide"),
        ROLLING("rolling"),
        MOWING("mowing"),
        GRAZING("grazing"),
        CUTTING_ROOTS("cutting-roots"),
        TILLING("tilling");

        private final String id;

        Means(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }

        private Survivors survivors() {
            return switch (this) {
                case WINTER -> Survivors.WHOLE;
                case HERBICIDE -> new Survivors(0.25, 0.4, 1, 0);
                case ROLLING -> new Survivors(0.6, 0.7, 0.3, 0);
                case MOWING -> new Survivors(0.85, 0.1, 0.12, 0.8);
                case GRAZING -> new Survivors(0.85, 0.15, 0.12, 0.6);
                case CUTTING_ROOTS, TILLING -> new Survivors(0.5, 0.5, 0.6, 0);
            };
        }

        private double share(Use.Kill k, boolean flowering) {
            return switch (this) {
                case WINTER, HERBICIDE -> 0;
                case ROLLING -> flowering ? k.rolledFlowering() : k.rolledLeafy();
                case MOWING, GRAZING -> flowering ? k.mownFlowering() : k.mownLeafy();
                case CUTTING_ROOTS, TILLING -> k.tilled();
            };
        }
    }

    /** Left to frost; what it kills follows from the weather. */
    public boolean isWinter() {
        return means.contains(Means.WINTER);
    }

    public boolean rolls() {
        return means.contains(Means.ROLLING);
    }

    public boolean grazes() {
        return means.contains(Means.GRAZING);
    }

    public boolean usesHerbicide() {
        return means.contains(Means.HERBICIDE);
    }

    /**
     * What it leaves alive: a plant that took a systemic herbicide is yellow and stunted, one that was crimped lies, one that was mown or
     * grazed must grow from its stubble. Etlo's own round shares.
     */
    public Survivors survivors() {
        return means.stream().map(Means::survivors).reduce(Survivors.WHOLE, Survivors::and);
    }

    /** What it kills of a species. */
    public KillOfSpecies kills(Species species) {
        Use.Kill k = species.use().kill();
        return new KillOfSpecies(
                passes(k, false), passes(k, true), usesHerbicide() ? k.herbicide() : 0, StageSpread.half(species));
    }

    private double passes(Use.Kill k, boolean flowering) {
        return means.stream()
                .filter(m -> m != Means.HERBICIDE)
                .mapToDouble(m -> m.share(k, flowering))
                .max()
                .orElse(0);
    }
}
