package app.etlo.server.config;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** No request body is larger than 5 MB, whatever its header says, nor trickles in for longer than it should. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class BodyLimit extends OncePerRequestFilter {
    static final int MOST_BYTES = 5 * 1024 * 1024;
    private static final int CHUNK = 64 * 1024;

    private final Clock clock;
    private final Duration longest;

    BodyLimit(Clock clock, @Value("${etlo.upload-lasts}") Duration longest) {
        this.clock = clock;
        this.longest = longest;
    }

    /** The body took too long to come. */
    private static final class TooSlow extends IOException {
        private static final long serialVersionUID = 1L;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!request.getRequestURI().startsWith("/api/") || "GET".equals(request.getMethod())) {
            chain.doFilter(request, response);
            return;
        }
        byte[] body;
        try {
            body = request.getContentLengthLong() > MOST_BYTES ? null : read(request.getInputStream());
        } catch (TooSlow e) {
            refuse(response, HttpServletResponse.SC_REQUEST_TIMEOUT, "Too slow", "The file took too long to arrive.");
            return;
        }
        if (body == null || body.length > MOST_BYTES) {
            refuse(
                    response,
                    HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE,
                    "Too large",
                    "The file is over 5 MB. Export only this field, or simplify its outline.");
            return;
        }
        chain.doFilter(new Read(request, body), response);
    }

    private byte[] read(InputStream in) throws IOException {
        Instant end = clock.instant().plus(longest);
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        byte[] chunk = new byte[CHUNK];
        for (int n = in.read(chunk); n >= 0 && body.size() <= MOST_BYTES; n = in.read(chunk)) {
            body.write(chunk, 0, n);
            if (clock.instant().isAfter(end)) {
                throw new TooSlow();
            }
        }
        return body.toByteArray();
    }

    private static void refuse(HttpServletResponse response, int status, String title, String detail)
            throws IOException {
        response.setStatus(status);
        response.setHeader("Connection", "close");
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.getWriter()
                .write("{\"status\":" + status + ",\"title\":\"" + title + "\",\"detail\":\"" + detail + "\"}");
    }

    /** The request with its body already read. */
    private static final class Read extends HttpServletRequestWrapper {
        private final byte[] body;

        Read(HttpServletRequest request, byte[] body) {
            super(request);
            this.body = body;
        }

        @Override
        public ServletInputStream getInputStream() {
            ByteArrayInputStream in = new ByteArrayInputStream(body);
            return new ServletInputStream() {
                @Override
                public int read() {
                    return in.read();
                }

                @Override
                public int read(byte[] b, int off, int len) {
                    return in.read(b, off, len);
                }

                @Override
                public boolean isFinished() {
                    return in.available() == 0;
                }

                @Override
                public boolean isReady() {
                    return true;
                }

                @Override
                public void setReadListener(ReadListener listener) {
                    throw new UnsupportedOperationException("the body is read already");
                }
            };
        }
    }
}
