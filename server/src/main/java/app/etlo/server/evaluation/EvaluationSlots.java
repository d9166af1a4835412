package app.etlo.server.evaluation;

import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Lets so many simulations run at once and the others wait in turn, so that saves keep threads and processor. A page that asks
 * again gives its place in the queue to the newer question: only the newest of a page counts.
 */
@Component
class EvaluationSlots {
    /** Header in which a page says which one it is. */
    static final String PAGE = "X-Page";
    /** Of the two hundred threads that answer requests; the others are for saves and lists. */
    private static final int MOST_WAITING = 100;

    private final int slots;
    private final int mostWaiting;
    private final long patienceNanos;
    private final Deque<Ticket> waiting = new ArrayDeque<>();
    private final Map<String, Ticket> ofPages = new HashMap<>();
    private int running;

    /** A place in the queue. */
    private static final class Ticket {
        private final Optional<String> page;
        private boolean called;
        private boolean superseded;

        Ticket(Optional<String> page) {
            this.page = page;
        }
    }

    @Autowired
    EvaluationSlots(
            @Value("${etlo.evaluations.at-once}") int slots,
            @Value("${etlo.evaluations.patience}") java.time.Duration patience) {
        this(slots > 0 ? slots : Math.max(1, Runtime.getRuntime().availableProcessors() - 1), MOST_WAITING, patience);
    }

    EvaluationSlots(int slots, int mostWaiting, java.time.Duration patience) {
        this.slots = slots;
        this.mostWaiting = mostWaiting;
        this.patienceNanos = patience.toNanos();
    }

    /** A newer question of the same page took the place of this one. */
    static final class Superseded extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /** More is asked than can be computed. */
    static final class Busy extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /**
     * Does work when its turn has come.
     *
     * @throws Superseded when the page asked again meanwhile
     * @throws Busy when too many wait, or it waited too long
     */
    <T> T run(Supplier<T> work) {
        enter(new Ticket(page()));
        try {
            return work.get();
        } finally {
            leave();
        }
    }

    /** The same where nobody waits; nothing is done otherwise. */
    boolean runIfFree(Runnable work) {
        synchronized (this) {
            if (running >= slots || !waiting.isEmpty()) {
                return false;
            }
            running++;
        }
        try {
            work.run();
            return true;
        } finally {
            leave();
        }
    }

    private static Optional<String> page() {
        if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes attributes)) {
            return Optional.empty();
        }
        HttpServletRequest request = attributes.getRequest();
        return Optional.ofNullable(request.getHeader(PAGE))
                .filter(p -> p.matches("[A-Za-z0-9-]{8,64}"))
                // known by its session too: nobody pushes out another's; and by what it asks: other questions go on
                .map(p -> request.getRequestedSessionId() + " " + p + " " + request.getServletPath());
    }

    private synchronized void enter(Ticket ticket) {
        ticket.page.ifPresent(p -> {
            Ticket older = ofPages.put(p, ticket);
            if (older != null && !older.called) {
                older.superseded = true;
                waiting.remove(older);
                notifyAll();
            }
        });
        try {
            if (running < slots && waiting.isEmpty()) {
                running++;
                ticket.called = true;
            } else {
                await(ticket);
            }
        } finally {
            if (!ticket.superseded) {
                ticket.page.ifPresent(p -> ofPages.remove(p, ticket));
            }
        }
    }

    private void await(Ticket ticket) {
        if (waiting.size() >= mostWaiting) {
            throw new Busy();
        }
        waiting.addLast(ticket);
        long until = System.nanoTime() + patienceNanos;
        while (!ticket.called) {
            if (ticket.superseded) {
                throw new Superseded();
            }
            long left = until - System.nanoTime();
            if (left <= 0) {
                waiting.remove(ticket);
                throw new Busy();
            }
            try {
                wait(Math.max(1, left / 1_000_000));
            } catch (InterruptedException e) {
                waiting.remove(ticket);
                Thread.currentThread().interrupt();
                throw new Busy();
            }
        }
    }

    private synchronized void leave() {
        Ticket next = waiting.pollFirst();
        if (next == null) {
            running--;
        } else {
            next.called = true;
            notifyAll();
        }
    }

    synchronized int waiting() {
        return waiting.size();
    }
}
