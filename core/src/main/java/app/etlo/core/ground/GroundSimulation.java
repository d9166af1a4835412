package app.etlo.core.ground;

import app.etlo.core.ground.GroundRun.Mark;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Plays a script over every weather year. Days that are the same in all years are played once. Records are kept on every seventh day,
 * before anything is done on the days of events, and some days after a sowing.
 */
public final class GroundSimulation {
    private static final int EVERY = 7;
    /** So many days after a sowing the seedbed is looked at once more. */
    public static final int SEEDBED_DAYS = 4;

    private final GroundScript script;
    private final GroundWeather weather;

    public GroundSimulation(GroundScript script, GroundWeather weather) {
        this.script = script;
        this.weather = weather;
    }

    /** A week's points and the days on which something is done; the state of such a day is that of the evening before. */
    public GroundCourse run() {
        return run(Optional.empty()).course();
    }

    /**
     * The same, played only from where it differs from an earlier run; no further states of it are saved.
     *
     * @param earlier of a script like this one
     */
    public GroundRun run(Optional<GroundRun> earlier) {
        return play(earlier, Optional.empty(), weather.days);
    }

    /**
     * What others go on from: played from before a day, from which on every day is recorded, to before another, with its state saved
     * before some days besides the usual ones.
     *
     * @param dailyFrom the first day of which every one is recorded
     * @param alsoBefore days, in any order
     */
    public GroundRun trunk(Optional<GroundRun> earlier, int dailyFrom, int to, int[] alsoBefore) {
        int[] days = IntStream.concat(Arrays.stream(recordedDays()), IntStream.range(Math.max(0, dailyFrom), held(to)))
                .sorted()
                .distinct()
                .toArray();
        return play(earlier, Optional.of(alsoBefore), held(to), days, dailyFrom);
    }

    /**
     * The usual records from one day to before another; nothing else is recorded.
     *
     * @param earlier run from which it goes on
     */
    public GroundCourse records(int from, int to, Optional<GroundRun> earlier) {
        int end = held(to);
        return course(
                Arrays.stream(recordedDays()).filter(d -> d >= from && d < end).toArray(), from, earlier);
    }

    /** The same, kept so that the next can go on from it. */
    public GroundRun kept(Optional<GroundRun> earlier) {
        return play(earlier, Optional.of(new int[0]), weather.days);
    }

    /** The same, played only to before a day: what is recorded later means nothing. */
    public GroundRun kept(Optional<GroundRun> earlier, int to) {
        return play(earlier, Optional.of(new int[0]), held(to));
    }

    private int held(int day) {
        return Math.max(0, Math.min(day, weather.days));
    }

    private int[] recordedDays() {
        IntStream evenings = Arrays.stream(script.events)
                .flatMapToInt(e -> e instanceof GroundEvent.Sow
                        ? IntStream.of(e.day() - 1, e.day() + SEEDBED_DAYS)
                        : IntStream.of(e.day() - 1));
        return IntStream.concat(
                        IntStream.iterate(0, d -> d < weather.days, d -> d + EVERY),
                        evenings.filter(d -> d >= 0 && d < weather.days))
                .sorted()
                .distinct()
                .toArray();
    }

    /**
     * Every day from one to before another, in every weather year; the counts of the course are those until then.
     *
     * @param earlier run of the same script, from which it goes on
     */
    public GroundCourse days(int from, int to, Optional<GroundRun> earlier) {
        return course(
                IntStream.range(Math.max(0, from), Math.min(to, weather.days)).toArray(), from, earlier);
    }

    private GroundCourse course(int[] days, int from, Optional<GroundRun> earlier) {
        GroundCourse course = new GroundCourse(weather.members, script.plants.length, days);
        Optional<Mark> start =
                earlier.flatMap(e -> e.before(Math.min(e.sameUntil(script, weather), Math.max(0, from) + 1)));
        start.ifPresent(m -> course.counts.copyFrom(m.counts(), 0, weather.members));
        play(course, days, start, days.length == 0 ? 0 : days[days.length - 1] + 1, List.of());
        return course;
    }

    /**
     * What some plants have come to on one evening, in every weather year; of a year in which all of them are gone nothing more is played.
     * Only their own values mean anything in it.
     *
     * @param earlier run from which it goes on
     */
    public GroundCourse evening(int day, int[] plants, Optional<GroundRun> earlier) {
        GroundCourse course = new GroundCourse(weather.members, script.plants.length, new int[] {day});
        Optional<Mark> start = earlier.flatMap(e -> e.before(Math.min(e.sameUntil(script, weather), day + 1)));
        int from = start.map(Mark::day).orElse(0);
        int fork = Math.min(day + 1, Math.max(from, weather.sharedDays));
        GroundLoop loop = new GroundLoop(script, weather);
        GroundLoop.Watcher untilGone = new UntilGone(plants);
        GroundState trunk = new GroundState(script.soil, script.plants);
        if (from <= weather.sharedDays) {
            start.ifPresent(m -> trunk.copyFrom(m.states()[0]));
            loop.play(0, from, fork, trunk, untilGone);
        }
        GroundState branch = new GroundState(script.soil, script.plants);
        for (int m = 0; m < weather.members; m++) {
            branch.copyFrom(from > weather.sharedDays ? start.orElseThrow().states()[m] : trunk);
            if (untilGone.goesOn(branch)) {
                loop.play(m, fork, day + 1, branch, untilGone);
            }
            course.record(0, branch, m, m + 1);
        }
        return course;
    }

    /**
     * @param keep days before which the state is saved besides the usual ones; empty where none is saved
     */
    private GroundRun play(Optional<GroundRun> earlier, Optional<int[]> keep, int to) {
        return play(earlier, keep, to, recordedDays(), Integer.MAX_VALUE);
    }

    /**
     * @param startBefore it is played from a state before this day at the latest
     */
    private GroundRun play(Optional<GroundRun> earlier, Optional<int[]> keep, int to, int[] days, int startBefore) {
        GroundCourse course = new GroundCourse(weather.members, script.plants.length, days);
        Optional<Mark> start =
                earlier.flatMap(e -> e.before(Math.min(startBefore, Math.min(to + 1, e.sameUntil(script, weather)))));
        start.ifPresent(m -> {
            course.takeOver(earlier.orElseThrow().course(), m.day());
            course.counts.copyFrom(m.counts(), 0, weather.members);
        });
        List<Mark> marks = start.map(m -> earlier.orElseThrow().upTo(m)).orElseGet(ArrayList::new);
        List<Mark> ahead = keep.map(also -> marks(start.map(Mark::day).orElse(0), to, also))
                .orElse(List.of());
        marks.addAll(ahead);
        play(course, days, start, to, ahead);
        return new GroundRun(script, weather, course, marks, to);
    }

    private void play(GroundCourse course, int[] days, Optional<Mark> start, int to, List<Mark> marks) {
        int from = start.map(Mark::day).orElse(0);
        int fork = Math.min(to, Math.max(from, weather.sharedDays));
        List<Mark> shared = marks.stream().filter(m -> m.day() <= fork).toList();
        List<Mark> apart = marks.stream().filter(m -> m.day() > fork).toList();
        Recorder recorder = new Recorder(course, days);
        GroundState trunk = new GroundState(script.soil, script.plants);
        if (from <= weather.sharedDays) {
            start.ifPresent(m -> trunk.copyFrom(m.states()[0]));
            recorder.from(from, 0, weather.members);
            play(0, weather.members, from, fork, trunk, recorder, shared);
        }
        GroundState branch = new GroundState(script.soil, script.plants);
        for (int m = 0; m < weather.members; m++) {
            branch.copyFrom(from > weather.sharedDays ? start.orElseThrow().states()[m] : trunk);
            recorder.from(fork, m, m + 1);
            play(m, m + 1, fork, to, branch, recorder, apart);
        }
    }

    /** Places for the states to lay by after a day: one state while all members are the same. */
    private List<Mark> marks(int after, int to, int[] also) {
        int every = GroundRun.everyDays(weather.days, weather.members, script.plants.length);
        return IntStream.concat(IntStream.iterate(every, d -> d < to, d -> d + every), Arrays.stream(also))
                .filter(d -> d > after && d < to)
                .sorted()
                .distinct()
                .mapToObj(d -> new Mark(
                        d,
                        new GroundState[d <= weather.sharedDays ? 1 : weather.members],
                        new DayCounts(weather.members)))
                .toList();
    }

    /** Plays days and lays by the state at each mark on the way. */
    private void play(int member, int through, int from, int to, GroundState s, Recorder recorder, List<Mark> marks) {
        GroundLoop loop = new GroundLoop(script, weather);
        int at = from;
        for (Mark m : marks) {
            loop.play(member, at, m.day(), s, recorder);
            m.keep(s, recorder.course, member, through);
            at = m.day();
        }
        loop.play(member, at, to, s, recorder);
    }

    private record UntilGone(int[] plants) implements GroundLoop.Watcher {
        @Override
        public void endOfDay(GroundState s) {}

        @Override
        public boolean goesOn(GroundState s) {
            for (int p : plants) {
                if (s.status[p] != GroundState.GONE) {
                    return true;
                }
            }
            return plants.length == 0;
        }
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
            course.counts.count(s, member, through);
            if (next < days.length && days[next] == s.day) {
                course.record(next, s, member, through);
                next++;
            }
        }
    }
}
