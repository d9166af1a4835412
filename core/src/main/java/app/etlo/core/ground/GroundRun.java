package app.etlo.core.ground;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A run with its state laid by every few weeks, so that a changed script is played only from about the day on which it changed.
 * Nothing in it changes once the run has ended.
 */
public final class GroundRun {
    /** Days between two states laid by. */
    static final int EVERY_DAYS = 56;

    final GroundCourse course;
    private final GroundScript script;
    private final GroundWeather weather;
    private final List<Mark> marks;

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

    GroundRun(GroundScript script, GroundWeather weather, GroundCourse course, List<Mark> marks) {
        this.script = script;
        this.weather = weather;
        this.course = course;
        this.marks = List.copyOf(marks);
    }

    public GroundCourse course() {
        return course;
    }

    /** The first day from which a run of another script in another weather may differ from this one; 0 when from the start. */
    int sameUntil(GroundScript changed, GroundWeather under) {
        int same = script.sameUntil(changed);
        return same == 0 ? 0 : Math.min(same, weather.sameUntil(under));
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
