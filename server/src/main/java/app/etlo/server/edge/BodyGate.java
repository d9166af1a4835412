package app.etlo.server.edge;

import app.etlo.server.access.Access;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;

/**
 * Keeps every body shut until the handler that asks for it is known and its caller, token and rates have been looked at; then
 * lets through so many bytes, for so long, within what all bodies together may take. It works on the stream itself, whatever the
 * address is and however the sender states the length.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
public class BodyGate extends OncePerRequestFilter implements HandlerInterceptor {
    static final int MOST_BYTES = 5 << 20;
    /** What nobody signed in may send: an address and a password are far shorter. */
    static final int MOST_BYTES_OF_ANYONE = 16 << 10;

    private static final Duration OF_ANYONE_LASTS = Duration.ofSeconds(5);
    private static final String OPEN = BodyGate.class.getName();
    private static final int CHUNK = 64 << 10;

    private final BodyBudget budget;
    private final Clock clock;
    private final Duration lasts;

    /**
     * @param lasts how long the longest body may take to arrive
     */
    BodyGate(BodyBudget budget, Clock clock, @Value("${etlo.upload-lasts}") Duration lasts) {
        this.budget = budget;
        this.clock = clock;
        this.lasts = lasts;
    }

    private record Allowance(int bytes, Duration lasts) {}

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type = String.valueOf(request.getContentType()).toLowerCase(Locale.ROOT);
        if (type.startsWith("application/x-www-form-urlencoded") || type.startsWith("multipart/")) {
            // the container would read these by itself, before anybody has looked at who sends them
            response.sendError(HttpServletResponse.SC_UNSUPPORTED_MEDIA_TYPE);
            return;
        }
        if (request.getContentLengthLong() <= 0 && request.getHeader(HttpHeaders.TRANSFER_ENCODING) == null) {
            chain.doFilter(request, response);
            return;
        }
        Gated gated = new Gated(request);
        try {
            chain.doFilter(gated, response);
        } finally {
            gated.done();
        }
    }

    /** The last of the interceptors: whoever comes here may call the handler. */
    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof HandlerMethod method) {
            Access access = method.getMethodAnnotation(Access.class);
            request.setAttribute(
                    OPEN,
                    access != null && access.value() != Access.Who.ANYONE
                            ? new Allowance(MOST_BYTES, lasts)
                            : new Allowance(MOST_BYTES_OF_ANYONE, OF_ANYONE_LASTS));
        }
        return true;
    }

    private final class Gated extends HttpServletRequestWrapper {
        private Body body;

        Gated(HttpServletRequest request) {
            super(request);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (body == null) {
                body = new Body((HttpServletRequest) getRequest());
            }
            return body;
        }

        @Override
        public BufferedReader getReader() throws IOException {
            return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }

        void done() {
            if (body != null) {
                body.letGo();
            }
        }
    }

    /** The body's stream, read in pieces so that how long it takes is looked at again and again. */
    private final class Body extends ServletInputStream {
        private final HttpServletRequest request;
        private final ServletInputStream in;
        private final String address;
        private Allowance allowance;
        private Instant end;
        private boolean reading;
        private long held;

        Body(HttpServletRequest request) throws IOException {
            this.request = request;
            this.in = request.getInputStream();
            this.address = request.getRemoteAddr();
        }

        @Override
        public int read(byte[] b, int off, int len) throws IOException {
            if (allowance == null) {
                begin();
            }
            int n = in.read(b, off, Math.min(len, CHUNK));
            if (n < 0) {
                stopReading();
                return n;
            }
            if (held + n > allowance.bytes()) {
                throw BodyRefused.tooLarge(allowance.bytes());
            }
            budget.hold(address, n);
            held += n;
            if (held == request.getContentLengthLong() || in.isFinished()) {
                // nobody need ask once more for the end: what waits for its turn now waits for no body
                stopReading();
            }
            if (clock.instant().isAfter(end)) {
                throw BodyRefused.tooSlow();
            }
            return n;
        }

        private void begin() throws BodyRefused {
            if (!(request.getAttribute(OPEN) instanceof Allowance opened)) {
                throw BodyRefused.notAllowed();
            }
            if (request.getContentLengthLong() > opened.bytes()) {
                throw BodyRefused.tooLarge(opened.bytes());
            }
            budget.begin(address);
            reading = true;
            allowance = opened;
            end = clock.instant().plus(opened.lasts());
        }

        private void stopReading() {
            if (reading) {
                reading = false;
                budget.end(address);
            }
        }

        void letGo() {
            stopReading();
            budget.release(address, held);
            held = 0;
        }

        @Override
        public int read() throws IOException {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            throw new UnsupportedOperationException("bodies are read by the thread that answers");
        }
    }
}
