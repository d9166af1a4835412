package app.etlo.server.edge;

import java.util.HashMap;
import java.util.Map;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * What all bodies together may take: threads that wait for one to arrive, and bytes held until their requests end, in all and for
 * one network address. A body of JSON takes many times its bytes once it is read (not measured), so the bytes are a small part of the heap.
 */
@Component
class BodyBudget {
    /** Of the two hundred threads that answer requests. */
    private static final int READERS = 100;

    private static final int READERS_OF_AN_ADDRESS = 32;
    private static final int SHARE_OF_HEAP = 32;
    private static final long LEAST_BYTES = 12L << 20;

    private final int readers;
    private final int readersOfAnAddress;
    private final long bytes;
    private final Map<String, Use> addresses = new HashMap<>();
    private final Use all = new Use();

    private static final class Use {
        private int readers;
        private long bytes;
    }

    @Autowired
    BodyBudget() {
        this(
                READERS,
                READERS_OF_AN_ADDRESS,
                Math.max(LEAST_BYTES, Runtime.getRuntime().maxMemory() / SHARE_OF_HEAP));
    }

    /**
     * @param bytes in all; one address gets half
     */
    BodyBudget(int readers, int readersOfAnAddress, long bytes) {
        this.readers = readers;
        this.readersOfAnAddress = readersOfAnAddress;
        this.bytes = bytes;
    }

    /** Begins to wait for a body. */
    synchronized void begin(String address) throws BodyRefused {
        Use own = addresses.computeIfAbsent(address, a -> new Use());
        if (all.readers >= readers || own.readers >= readersOfAnAddress) {
            forget(address, own);
            throw BodyRefused.tooMuchAtOnce();
        }
        all.readers++;
        own.readers++;
    }

    /** Waits no longer. */
    synchronized void end(String address) {
        Use own = addresses.get(address);
        all.readers--;
        own.readers--;
        forget(address, own);
    }

    /** Holds so many bytes more. */
    synchronized void hold(String address, int more) throws BodyRefused {
        Use own = addresses.computeIfAbsent(address, a -> new Use());
        if (all.bytes + more > bytes || own.bytes + more > bytes / 2) {
            forget(address, own);
            throw BodyRefused.tooMuchAtOnce();
        }
        all.bytes += more;
        own.bytes += more;
    }

    synchronized void release(String address, long held) {
        Use own = addresses.get(address);
        if (own != null) {
            all.bytes -= held;
            own.bytes -= held;
            forget(address, own);
        }
    }

    private void forget(String address, Use own) {
        if (own.readers == 0 && own.bytes == 0) {
            addresses.remove(address);
        }
    }

    synchronized boolean isIdle() {
        return addresses.isEmpty() && all.readers == 0 && all.bytes == 0;
    }
}
