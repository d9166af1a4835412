package app.etlo.core.knowledge;

import java.util.List;
import java.util.Set;

/**
 * A way of ending a cover.
 *
 * @param operations ids of the passes it takes, possibly none
 * @param means what does the killing; with more than one the best of them counts
 * @param standingShare share of the killed tops that stays upright, 0 to 1
 */
public record TerminationMethod(
        String id, String name, List<String> operations, Set<Means> means, double standingShare) {

    private static final double AFTER_HERBICIDE = 0.25;
    private static final double AFTER_ROLLING = 0.6;

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

        private double share(Use.Kill k, boolean flowering) {
            return switch (this) {
                case WINTER -> 0;
                case HERBICIDE -> k.herbicide();
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
     * How fast what it leaves alive grows on, as a share of before: a plant that took a systemic herbicide or was crimped is stunted, one
     * that was cut or missed is not. Etlo's own round shares.
     */
    public double survivorsGrow() {
        return usesHerbicide() ? AFTER_HERBICIDE : rolls() ? AFTER_ROLLING : 1;
    }

    /**
     * The share of a species that it kills, 0 to 1.
     *
     * @param flowering whether half of the plants flower
     */
    public double kills(Species species, boolean flowering) {
        Use.Kill k = species.use().kill();
        return means.stream().mapToDouble(m -> m.share(k, flowering)).max().orElse(0);
    }
}
