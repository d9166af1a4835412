package app.etlo.core.ground;

import java.util.Comparator;
import java.util.List;

/**
 * Something done to the ground on a day, as plain effects; methods and machines are not known here. On one day they act in the
 * order harvest, terminate, graze, pass, fertilise, irrigate, sow, observe; of the same kind by their key. So it does not
 * matter in which order they are given.
 */
public sealed interface GroundEvent {
    /** Days from the start of the simulation. */
    int day();

    /** Names it among others of its kind on a day. */
    String key();

    /** Place among the events of a day. */
    int rank();

    Comparator<GroundEvent> ORDER = Comparator.comparingInt(GroundEvent::day)
            .thenComparingInt(GroundEvent::rank)
            .thenComparing(GroundEvent::key);

    /**
     * Takes grain or forage away and ends the plant.
     *
     * @param removedShare of the dry tops, 0 to 1
     * @param removedNitrogenShare of the nitrogen in them, 0 to 1
     * @param standingShare of what remains that stays upright, 0 to 1
     */
    record Harvest(
            int day, String key, int plant, double removedShare, double removedNitrogenShare, double standingShare)
            implements GroundEvent {
        @Override
        public int rank() {
            return 0;
        }
    }

    /**
     * Kills plants where they stand.
     *
     * @param killedShare by plant, 0 to 1, before and after it flowers; plants beyond the list are spared
     * @param standingShare of the killed tops that stays upright, 0 to 1
     */
    record Terminate(int day, String key, List<Kill> killedShare, double standingShare) implements GroundEvent {
        public Terminate {
            killedShare = List.copyOf(killedShare);
        }

        /** Of the first plants, without those spared behind the last it harms. */
        List<Kill> kills(int plants) {
            int n = Math.min(plants, killedShare.size());
            while (n > 0 && killedShare.get(n - 1).equals(Kill.NONE)) {
                n--;
            }
            return killedShare.subList(0, n);
        }

        @Override
        public int rank() {
            return 1;
        }
    }

    /** What a way of ending kills of a plant, 0 to 1. */
    record Kill(double leafy, double flowering) {
        public static final Kill NONE = new Kill(0, 0);
    }

    /**
     * Stock eat.
     *
     * @param eatenShare of the living tops, 0 to 1
     * @param returnedShare of the nitrogen eaten that comes back as mineral nitrogen, 0 to 1
     */
    record Graze(int day, String key, double eatenShare, double returnedShare) implements GroundEvent {
        @Override
        public int rank() {
            return 2;
        }
    }

    /**
     * A tool goes over the ground.
     *
     * @param keptShare of the flat residue that stays on top, 0 to 1; the rest is mixed in
     * @param flattenedShare of standing residue laid flat, 0 to 1
     */
    record Pass(int day, String key, double keptShare, double flattenedShare) implements GroundEvent {
        @Override
        public int rank() {
            return 3;
        }
    }

    /** Nitrogen that plants can take, into the top layer, g/m2. */
    record Fertilise(int day, String key, double nitrogenGM2) implements GroundEvent {
        @Override
        public int rank() {
            return 4;
        }
    }

    record Irrigate(int day, String key, double mm) implements GroundEvent {
        @Override
        public int rank() {
            return 5;
        }
    }

    /**
     * Seed goes in.
     *
     * @param plantsM2 that come up where nothing fails
     * @param onSurface whether it lies on top and depends on the top layer alone
     */
    record Sow(int day, String key, int plant, double plantsM2, boolean onSurface) implements GroundEvent {
        @Override
        public int rank() {
            return 6;
        }
    }

    /**
     * The field was looked at, and the simulation is brought nearer to what was seen. Booked as a correction.
     *
     * @param massFactor on dry tops, leaves and nitrogen
     * @param standFactor on the number of plants
     * @param fixing share of its fixation that works from now on, 0 to 1
     * @param stageChange added to its stage, which stays between 0 and 2
     * @param heightFactor on its height, now and from now on
     */
    record Observe(
            int day,
            String key,
            int plant,
            double massFactor,
            double standFactor,
            double fixing,
            double stageChange,
            double heightFactor)
            implements GroundEvent {
        @Override
        public int rank() {
            return 7;
        }
    }
}
