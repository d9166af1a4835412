package app.etlo.core.ground;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A run with its state saved every few weeks, so that a changed script is played only from about the day on which it changed.
 * Nothing in it changes once the run has ended.
 */
public final class GroundRun {
    /** Least days between two saved states; a multiple of the days between records. */
    static final int EVERY_DAYS = 56;
    /** States of a run take no more than this; those of a large plan are saved farther apart. */
    private static final long MOST_BYTES_OF_STATES = 24L << 20;

    private static final long BYTES_OF_GROUND = 1500;
    private static final long BYTES_OF_A_PLANT = 340;

    final GroundCourse course;
    private final GroundScript script;
    private final GroundWeather weather;
    private final List<Mark> marks;
    /** It was played to before this day. */
    private final int to;

    /**
     * The state in every member before a day is played.
     *
     * @param states one as long as all members are the same, else one of each
     */
    record Mark(int day, GroundState[] states, DayCounts counts) {
        void keep(GroundState s, GroundCourse course, int member, int through) {
            GroundState copy = new GroundState(s.soil, s.plant);
            copy.copyFrom(s);
            states[states.length == 1 ? 0 : member] = copy;
            counts.copyFrom(course.counts, member, through);
        }
    }

    GroundRun(GroundScript script, GroundWeather weather, GroundCourse course, List<Mark> marks, int to) {
        this.to = to;
        this.script = script;
        this.weather = weather;
        this.course = course;
        this.marks = List.copyOf(marks);
    }

    /** Days between two states of a run of a size. */
    static int everyDays(int days, int members, int plants) {
        long most = Math.max(4, MOST_BYTES_OF_STATES / (members * bytesOfState(plants)));
        long wanted = days / EVERY_DAYS + 1;
        return EVERY_DAYS * (int) ((wanted + most - 1) / most);
    }

    private static long bytesOfState(int plants) {
        return BYTES_OF_GROUND + BYTES_OF_A_PLANT * plants;
    }

    /** About how many bytes it holds. */
    public long bytes() {
        return course.bytes()
                + marks.stream().mapToLong(m -> m.states().length).sum()
                        * bytesOfState(script.plants().size());
    }

    public GroundCourse course() {
        return course;
    }

    /** The first day from which a run of another script in another weather may differ from this one; 0 when from the start. */
    int sameUntil(GroundScript changed, GroundWeather under) {
        int same = script.sameUntil(changed);
        return same == 0 ? 0 : Math.min(to, Math.min(same, weather.sameUntil(under)));
    }

    /** The last state before a day; its evening's records were asked for in this run too. */
    Optional<Mark> before(int day) {
        Mark found = null;
        for (Mark m : marks) {
            found = m.day() < day ? m : found;
        }
        return Optional.ofNullable(found);
    }

    /** The marks up to one, for the run that goes on from it. */
    List<Mark> upTo(Mark last) {
        return new ArrayList<>(marks.subList(0, marks.indexOf(last) + 1));
    }
}
