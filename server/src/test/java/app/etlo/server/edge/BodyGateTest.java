package app.etlo.server.edge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.etlo.server.access.Access;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.method.HandlerMethod;

/** Bodies stay shut until the handler is known, and come through within bounds of size, time and number. */
class BodyGateTest {
    private final BodyBudget budget = new BodyBudget(3, 2, 1 << 20);

    /** Endpoints that take a body. */
    @SuppressWarnings("unused")
    static final class Endpoints {
        @Access(Access.Who.MEMBER)
        public void member() {}

        @Access(Access.Who.ANYONE)
        public void anyone() {}
    }

    /** A body of which one byte comes every second, by the clock it moves itself. */
    private static final class Trickle extends Clock {
        private final AtomicInteger seconds = new AtomicInteger();
        private final int bytes;

        Trickle(int bytes) {
            this.bytes = bytes;
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return Instant.EPOCH.plusSeconds(seconds.get());
        }

        MockHttpServletRequest request() {
            return new MockHttpServletRequest("POST", "/api/evaluations") {
                @Override
                public String getHeader(String name) {
                    return name.equals("Transfer-Encoding") ? "chunked" : super.getHeader(name);
                }

                @Override
                public ServletInputStream getInputStream() {
                    return stream();
                }
            };
        }

        private ServletInputStream stream() {
            return new ServletInputStream() {
                @Override
                public int read() {
                    return seconds.incrementAndGet() > bytes ? -1 : ' ';
                }

                @Override
                public int read(byte[] b, int off, int len) {
                    int one = read();
                    if (one < 0) {
                        return -1;
                    }
                    b[off] = (byte) one;
                    return 1;
                }

                @Override
                public boolean isFinished() {
                    return seconds.get() >= bytes;
                }

                @Override
                public boolean isReady() {
                    return true;
                }

                @Override
                public void setReadListener(ReadListener listener) {
                    throw new UnsupportedOperationException();
                }
            };
        }
    }

    private BodyGate gate(Clock clock) {
        return new BodyGate(budget, clock, Duration.ofSeconds(30));
    }

    /** Reads a request's body as the handler of a name would. */
    private int read(BodyGate gate, MockHttpServletRequest request, String handler) throws Exception {
        int[] bytes = new int[1];
        FilterChain chain = (r, s) -> {
            if (!handler.isEmpty()) {
                open(gate, (HttpServletRequest) r, handler);
            }
            bytes[0] = r.getInputStream().readAllBytes().length;
        };
        gate.doFilter(request, new MockHttpServletResponse(), chain);
        return bytes[0];
    }

    private static void open(BodyGate gate, HttpServletRequest request, String handler) {
        try {
            gate.preHandle(
                    request,
                    new MockHttpServletResponse(),
                    new HandlerMethod(new Endpoints(), Endpoints.class.getMethod(handler)));
        } catch (NoSuchMethodException e) {
            throw new IllegalStateException(e);
        }
    }

    private static MockHttpServletRequest of(int bytes) {
        MockHttpServletRequest request = new MockHttpServletRequest("POST", "/api/dossiers");
        request.setContent(new byte[bytes]);
        return request;
    }

    private static void refused(org.assertj.core.api.ThrowableAssert.ThrowingCallable call, int status) {
        assertThatThrownBy(call)
                .isInstanceOfSatisfying(
                        BodyRefused.class, e -> assertThat(e.status().value()).isEqualTo(status));
    }

    @Test
    void nothing_is_read_before_the_handler_is_known() {
        refused(() -> read(gate(Clock.systemUTC()), new Trickle(3).request(), ""), 403);
        assertThat(budget.isIdle()).isTrue();
    }

    @Test
    void a_body_that_trickles_in_is_given_up_after_half_a_minute_of_strangers_after_five_seconds() throws Exception {
        Trickle slow = new Trickle(1000);
        refused(() -> read(gate(slow), slow.request(), "member"), 408);
        assertThat(slow.seconds.get()).isBetween(30, 35);
        Trickle stranger = new Trickle(1000);
        refused(() -> read(gate(stranger), stranger.request(), "anyone"), 408);
        assertThat(stranger.seconds.get()).isBetween(5, 8);
        Trickle inTime = new Trickle(20);
        assertThat(read(gate(inTime), inTime.request(), "member")).isEqualTo(20);
        assertThat(budget.isIdle()).isTrue();
    }

    @Test
    void a_body_over_its_size_is_refused_whatever_its_header_says() throws Exception {
        BodyGate wide = new BodyGate(new BodyBudget(3, 2, 64 << 20), Clock.systemUTC(), Duration.ofSeconds(30));
        assertThat(read(wide, of(BodyGate.MOST_BYTES), "member")).isEqualTo(BodyGate.MOST_BYTES);
        refused(() -> read(wide, of(BodyGate.MOST_BYTES + 1), "member"), 413);
        refused(() -> read(wide, of(BodyGate.MOST_BYTES_OF_ANYONE + 1), "anyone"), 413);
        MockHttpServletRequest silent = new MockHttpServletRequest("POST", "/api/dossiers") {
            @Override
            public long getContentLengthLong() {
                return -1;
            }
        };
        silent.addHeader("Transfer-Encoding", "chunked");
        silent.setContent(new byte[BodyGate.MOST_BYTES + 1]);
        refused(() -> read(wide, silent, "member"), 413);
    }

    @Test
    void one_address_holds_half_of_the_bytes_and_gives_them_back() throws Exception {
        BodyGate gate = gate(Clock.systemUTC());
        refused(() -> read(gate, of((1 << 19) + 1), "member"), 503);
        assertThat(budget.isIdle()).isTrue();
        assertThat(read(gate, of(1 << 19), "member")).isEqualTo(1 << 19);
        assertThat(budget.isIdle()).isTrue();
    }

    @Test
    void so_many_bodies_are_waited_for_at_once_and_no_more() throws IOException {
        budget.begin("192.0.2.1");
        budget.begin("192.0.2.1");
        refused(() -> budget.begin("192.0.2.1"), 503);
        budget.begin("192.0.2.2");
        refused(() -> budget.begin("192.0.2.3"), 503);
        budget.end("192.0.2.1");
        budget.begin("192.0.2.3");
        budget.end("192.0.2.1");
        budget.end("192.0.2.2");
        budget.end("192.0.2.3");
        assertThat(budget.isIdle()).isTrue();
    }

    /** A reader of JSON stops at its last brace; whatever the request then waits for, the next body may be read. */
    @Test
    void a_body_that_is_all_there_is_waited_for_no_longer() throws Exception {
        BodyGate gate = gate(Clock.systemUTC());
        FilterChain whole = (r, s) -> {
            open(gate, (HttpServletRequest) r, "member");
            assertThat(r.getInputStream().readNBytes(10)).hasSize(10);
            budget.begin("127.0.0.1");
            budget.begin("127.0.0.1");
            budget.end("127.0.0.1");
            budget.end("127.0.0.1");
        };
        gate.doFilter(of(10), new MockHttpServletResponse(), whole);
        assertThat(budget.isIdle()).isTrue();
    }

    @Test
    void forms_are_not_taken_at_all() throws Exception {
        MockHttpServletRequest form = of(10);
        form.setContentType("application/x-www-form-urlencoded");
        MockHttpServletResponse answer = new MockHttpServletResponse();
        gate(Clock.systemUTC()).doFilter(form, answer, (r, s) -> {
            throw new AssertionError("went on");
        });
        assertThat(answer.getStatus()).isEqualTo(415);
    }
}
