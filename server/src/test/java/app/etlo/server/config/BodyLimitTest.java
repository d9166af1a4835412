package app.etlo.server.config;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** Bodies too large or too slow never reach an endpoint. */
class BodyLimitTest {
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

        MockHttpServletResponse send() throws Exception {
            MockHttpServletRequest request = new MockHttpServletRequest("POST", "/api/evaluations") {
                @Override
                public ServletInputStream getInputStream() {
                    return stream();
                }
            };
            MockHttpServletResponse response = new MockHttpServletResponse();
            MockFilterChain chain = new MockFilterChain();
            new BodyLimit(this, Duration.ofSeconds(30)).doFilter(request, response, chain);
            response.setHeader("reached", String.valueOf(chain.getRequest() != null));
            return response;
        }

        private ServletInputStream stream() {
            return new ServletInputStream() {
                @Override
                public int read() {
                    return seconds.incrementAndGet() > bytes ? -1 : ' ';
                }

                @Override
                public int read(byte[] b, int off, int len) throws IOException {
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

    @Test
    void a_body_that_trickles_in_is_given_up_after_half_a_minute() throws Exception {
        Trickle slow = new Trickle(1000);
        MockHttpServletResponse response = slow.send();
        assertThat(response.getStatus()).isEqualTo(408);
        assertThat(response.getHeader("reached")).isEqualTo("false");
        assertThat(slow.seconds.get()).isLessThan(40);
    }

    @Test
    void one_that_arrives_in_time_goes_through_whole() throws Exception {
        MockHttpServletResponse response = new Trickle(20).send();
        assertThat(response.getStatus()).isEqualTo(200);
        assertThat(response.getHeader("reached")).isEqualTo("true");
    }

    @Test
    void a_length_over_five_megabytes_is_refused_before_anything_is_read() throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest("POST", "/api/dossiers") {
            @Override
            public long getContentLengthLong() {
                return 6L * 1024 * 1024;
            }

            @Override
            public ServletInputStream getInputStream() {
                throw new AssertionError("read although too large");
            }
        };
        MockHttpServletResponse response = new MockHttpServletResponse();
        new BodyLimit(Clock.systemUTC(), Duration.ofSeconds(30)).doFilter(request, response, new MockFilterChain());
        assertThat(response.getStatus()).isEqualTo(413);
    }
}
