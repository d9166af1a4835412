package app.etlo.server.edge;

import app.etlo.server.access.ThisMachine;
import jakarta.servlet.ServletException;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.util.List;
import java.util.concurrent.Semaphore;
import java.util.concurrent.locks.LockSupport;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;

/**
 * The first and last to see a request. On the way in it notes whether the connection itself comes from this machine. On the way
 * out it deals with a body that was refused unread: the server would otherwise read all of it to its end, holding a thread for
 * as long as the sender likes. A little of it is read so that an honest sender gets to see the answer, by a few threads at most
 * and for a second; then the connection is closed.
 */
final class EdgeValve extends ValveBase {
    private static final List<String> FORWARDING = List.of("X-Forwarded-For", "Forwarded", "X-Real-IP", "Via");
    private static final int LINGERING = 16;
    private static final long LINGERS_NANOS = 1_000_000_000L;
    private static final long LOOKS_AGAIN_NANOS = 4_000_000L;
    private static final int CHUNK = 64 * 1024;

    private final Semaphore lingering = new Semaphore(LINGERING);

    EdgeValve() {
        super(true);
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        request.setAttribute(ThisMachine.ATTRIBUTE, fromHere(request));
        getNext().invoke(request, response);
        if (!request.isAsync() && hasBody(request) && !request.isFinished()) {
            response.finishResponse();
            linger(request);
            if (!request.isFinished()) {
                request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null);
            }
        }
    }

    private static boolean fromHere(Request request) {
        try {
            // an address in figures is not looked up
            return InetAddress.getByName(request.getPeerAddr()).isLoopbackAddress()
                    && FORWARDING.stream().allMatch(h -> request.getHeader(h) == null);
        } catch (IOException e) {
            return false;
        }
    }

    private static boolean hasBody(Request request) {
        return request.getContentLengthLong() > 0 || request.getHeader("Transfer-Encoding") != null;
    }

    private void linger(Request request) {
        if (!lingering.tryAcquire()) {
            return;
        }
        try {
            InputStream in = request.getStream();
            byte[] chunk = new byte[CHUNK];
            long until = System.nanoTime() + LINGERS_NANOS;
            while (!request.isFinished() && System.nanoTime() < until) {
                if (in.available() > 0) {
                    in.read(chunk, 0, Math.min(chunk.length, in.available()));
                } else {
                    LockSupport.parkNanos(LOOKS_AGAIN_NANOS);
                }
            }
        } catch (IOException gone) {
            // whoever sent it has left
            return;
        } finally {
            lingering.release();
        }
    }
}
