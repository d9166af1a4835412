package app.etlo.core.ground;

import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.Optional;

/**
 * The last run of each of a bounded number of fields, for whoever changes a plan there next. Several threads may use it at once.
 */
public final class GroundMemory {
    private final int most;
    private final long mostBytes;
    private final Deque<GroundRun> runs = new ArrayDeque<>();

    /**
     * A memory of so much.
     *
     * @param most runs kept
     * @param mostBytes that all of them together may hold; the newest is kept whatever it holds
     */
    public GroundMemory(int most, long mostBytes) {
        this.mostBytes = mostBytes;
        this.most = most;
    }

    /** The kept run that a script shares most days with. */
    public synchronized Optional<GroundRun> nearest(GroundScript script, GroundWeather weather) {
        return runs.stream()
                .filter(r -> r.sameUntil(script, weather) > 0)
                .max(Comparator.comparingInt(r -> r.sameUntil(script, weather)));
    }

    /** Keeps a run in place of the one it went on from; the one used longest ago is let go. */
    public synchronized void keep(GroundRun run, Optional<GroundRun> insteadOf) {
        insteadOf.ifPresent(runs::remove);
        runs.addFirst(run);
        while (runs.size() > most || runs.size() > 1 && bytes() > mostBytes) {
            runs.removeLast();
        }
    }

    private long bytes() {
        return runs.stream().mapToLong(GroundRun::bytes).sum();
    }

    synchronized int size() {
        return runs.size();
    }
}
