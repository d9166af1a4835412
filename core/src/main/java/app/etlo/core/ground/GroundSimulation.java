package app.etlo.core.ground;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * Plays a script over every weather year. Days that are the same in all years are played once. Records are kept on every seventh day
 * and, before anything is done, on the days of events.
 */
public final class GroundSimulation {
    private static final int EVERY = 7;

    private final GroundScript script;
    private final GroundWeather weather;

    public GroundSimulation(GroundScript script, GroundWeather weather) {
        this.script = script;
        this.weather = weather;
    }

    /** A week's points and the days on which something is done; the state of such a day is that of the evening before. */
    public GroundCourse run() {
        int[] days = IntStream.concat(
                        IntStream.iterate(0, d -> d < weather.days, d -> d + EVERY),
                        Arrays.stream(script.events).mapToInt(e -> e.day() - 1).filter(d -> d >= 0 && d < weather.days))
                .sorted()
                .distinct()
                .toArray();
        return run(days);
    }

    /** Every day from one to before another, of one weather year. */
    public GroundCourse days(int member, int from, int to) {
        int[] days =
                IntStream.range(Math.max(0, from), Math.min(to, weather.days)).toArray();
        GroundCourse course = new GroundCourse(1, script.plants.length, days);
        Recorder recorder = new Recorder(course, days);
        recorder.from(0, 0, 1);
        new GroundLoop(script, weather)
                .play(
                        member,
                        0,
                        days.length == 0 ? 0 : days[days.length - 1] + 1,
                        new GroundState(script.soil, script.plants),
                        recorder);
        return course;
    }

    private GroundCourse run(int[] days) {
        GroundCourse course = new GroundCourse(weather.members, script.plants.length, days);
        GroundLoop loop = new GroundLoop(script, weather);
        Recorder recorder = new Recorder(course, days);
        GroundState trunk = new GroundState(script.soil, script.plants);
        recorder.from(0, 0, weather.members);
        loop.play(0, 0, weather.sharedDays, trunk, recorder);
        GroundState branch = new GroundState(script.soil, script.plants);
        for (int m = 0; m < weather.members; m++) {
            branch.copyFrom(trunk);
            recorder.from(weather.sharedDays, m, m + 1);
            loop.play(m, weather.sharedDays, weather.days, branch, recorder);
        }
        return course;
    }

    /** Writes the recorded days of one member, or of all at once, into the course. */
    private static final class Recorder implements GroundLoop.Watcher {
        private final GroundCourse course;
        private final int[] days;
        private int next;
        private int member;
        private int through;

        Recorder(GroundCourse course, int[] days) {
            this.course = course;
            this.days = days;
        }

        void from(int day, int member, int through) {
            int i = Arrays.binarySearch(days, day);
            this.next = i >= 0 ? i : -i - 1;
            this.member = member;
            this.through = through;
        }

        @Override
        public void endOfDay(GroundState s) {
            course.count(s, member, through);
            if (next < days.length && days[next] == s.day) {
                course.record(next, s, member, through);
                next++;
            }
        }
    }
}
