package app.etlo.core.ground;

import app.etlo.core.knowledge.KillOfSpecies;
import app.etlo.core.knowledge.Survivors;
import java.util.Comparator;
import java.util.List;

/**
 * Something done to the ground on a day, as plain effects; methods and machines are not known here. On one day they act by their
 * place in it; of the same place by their key. So it does not matter in which order they are given. Without a place of their own:
 * harvest 100, terminate 200, graze 300, pass 400, fertilise 500, irrigate 600, sow 700, observe last.
 */
public sealed interface GroundEvent {
    /** Days from the start of the simulation. */
    int day();

    /** Names it among others of its kind on a day. */
    String key();

    /** Place among the events of a day. */
    int place();

    /** Does what it does to the state; nothing to a plant that is not there. */
    void actOn(GroundState state);

    /** Whether it acts after the day's growth, as what was seen in the evening does. */
    default boolean isOfTheEvening() {
        return false;
    }

    Comparator<GroundEvent> ORDER = Comparator.comparingInt(GroundEvent::day)
            .thenComparingInt(GroundEvent::place)
            .thenComparing(GroundEvent::key);

    /**
     * Takes grain or forage away and ends the plant.
     *
     * @param removedShare of the dry tops, 0 to 1
     * @param removedNitrogenShare of the nitrogen in them, 0 to 1
     * @param standingShare of what remains that stays upright, 0 to 1
     */
    record Harvest(
            int day,
            int place,
            String key,
            int plant,
            double removedShare,
            double removedNitrogenShare,
            double standingShare)
            implements GroundEvent {
        public Harvest(
                int day,
                String key,
                int plant,
                double removedShare,
                double removedNitrogenShare,
                double standingShare) {
            this(day, 100, key, plant, removedShare, removedNitrogenShare, standingShare);
        }

        @Override
        public void actOn(GroundState state) {
            EventEffects.harvest(this, state);
        }
    }

    /**
     * Kills plants where they stand.
     *
     * @param killedShare by plant, by its stage; plants beyond the list are spared
     * @param standingShare of the killed tops that stays upright, 0 to 1
     */
    record Terminate(int day, int place, String key, List<Kill> killedShare, double standingShare)
            implements GroundEvent {
        public Terminate(int day, String key, List<Kill> killedShare, double standingShare) {
            this(day, 200, key, killedShare, standingShare);
        }

        public Terminate {
            killedShare = List.copyOf(killedShare);
        }

        @Override
        public void actOn(GroundState state) {
            EventEffects.terminate(this, state);
        }

        /** Of the first plants, without those spared behind the last it harms. */
        List<Kill> kills(int plants) {
            int n = Math.min(plants, killedShare.size());
            while (n > 0 && killedShare.get(n - 1).equals(Kill.NONE)) {
                n--;
            }
            return killedShare.subList(0, n);
        }
    }

    /**
     * What a way of ending does to a plant.
     *
     * @param left what the plants are like that it leaves alive
     */
    record Kill(KillOfSpecies of, Survivors left) {
        public static final Kill NONE = whole(0);

        /** A share of it, 0 to 1, whatever it is like; what is left is whole. */
        public static Kill whole(double share) {
            return new Kill(KillOfSpecies.whole(share), Survivors.WHOLE);
        }
    }

    /**
     * Stock eat.
     *
     * @param eatenShare of the living tops, 0 to 1
     * @param returnedShare of the nitrogen eaten that comes back as mineral nitrogen, 0 to 1
     */
    record Graze(int day, int place, String key, double eatenShare, double returnedShare) implements GroundEvent {
        public Graze(int day, String key, double eatenShare, double returnedShare) {
            this(day, 300, key, eatenShare, returnedShare);
        }

        @Override
        public void actOn(GroundState state) {
            EventEffects.graze(this, state);
        }
    }

    /**
     * A tool goes over the ground.
     *
     * @param keptShare of the flat residue that stays on top, 0 to 1; the rest is mixed in
     * @param keptFragileShare the same of residue that breaks up fast
     * @param flattenedShare of standing residue laid flat, 0 to 1
     */
    record Pass(int day, int place, String key, double keptShare, double keptFragileShare, double flattenedShare)
            implements GroundEvent {
        public Pass(int day, String key, double keptShare, double flattenedShare) {
            this(day, 400, key, keptShare, keptShare, flattenedShare);
        }

        @Override
        public void actOn(GroundState state) {
            EventEffects.pass(this, state);
        }
    }

    /** Nitrogen that plants can take, into the top layer, g/m2. */
    record Fertilise(int day, int place, String key, double nitrogenGM2) implements GroundEvent {
        public Fertilise(int day, String key, double nitrogenGM2) {
            this(day, 500, key, nitrogenGM2);
        }

        @Override
        public void actOn(GroundState state) {
            EventEffects.fertilise(this, state);
        }
    }

    record Irrigate(int day, int place, String key, double mm) implements GroundEvent {
        public Irrigate(int day, String key, double mm) {
            this(day, 600, key, mm);
        }

        @Override
        public void actOn(GroundState state) {
            EventEffects.irrigate(this, state);
        }
    }

    /**
     * Seed goes in.
     *
     * @param plantsM2 that come up where nothing fails
     * @param depthCm below the mineral soil's surface; 0 where it lies on top and depends on the top layer alone
     */
    record Sow(int day, int place, String key, int plant, double plantsM2, double depthCm) implements GroundEvent {
        private static final double USUAL_DEPTH_CM = 3;

        public Sow(int day, String key, int plant, double plantsM2, boolean onSurface) {
            this(day, 700, key, plant, plantsM2, onSurface ? 0 : USUAL_DEPTH_CM);
        }

        @Override
        public void actOn(GroundState state) {
            EventEffects.sow(this, state);
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
        public void actOn(GroundState state) {
            EventEffects.observe(this, state);
        }

        @Override
        public int place() {
            return Integer.MAX_VALUE;
        }

        @Override
        public boolean isOfTheEvening() {
            return true;
        }
    }

    /**
     * What stands of some plants together is so much, in every year in which any of it stands; each keeps its share. Booked as a
     * correction.
     *
     * @param plants of the stand
     * @param massGM2 dry tops; 0 where nothing was said of them
     * @param nitrogenShare of them, 0 to 1; 0 where nothing was said of it
     */
    record Stand(int day, String key, List<Integer> plants, double massGM2, double nitrogenShare)
            implements GroundEvent {
        public Stand {
            plants = List.copyOf(plants);
        }

        @Override
        public void actOn(GroundState state) {
            EventEffects.stand(this, state);
        }

        @Override
        public int place() {
            return Integer.MAX_VALUE;
        }

        @Override
        public boolean isOfTheEvening() {
            return true;
        }
    }

    /**
     * A crop of which nothing was simulated leaves the field, or its soil was tested: nitrate is so much and, after a crop, residue lies
     * there and the soil is no wetter than roots leave it. Booked as a correction, and as used by plants.
     *
     * @param left nitrate as a whole, residue that is added
     * @param mostWaterShare of the available water to 1.2 m that may be left; 1 where nothing is known of it
     */
    record Begin(int day, String key, GroundStart left, double mostWaterShare) implements GroundEvent {
        @Override
        public int place() {
            return 100;
        }

        @Override
        public void actOn(GroundState state) {
            EventEffects.begin(this, state);
        }
    }
}
