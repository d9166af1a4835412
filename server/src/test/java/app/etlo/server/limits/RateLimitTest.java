package app.etlo.server.limits;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.etlo.server.account.Adviser;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.method.HandlerMethod;

/** Callers who ask more often than a person does. */
class RateLimitTest {
    private final RateLimit limit = new RateLimit(new Limits(
            new Limits.Limit(1, 1, 3),
            new Limits.Limit(1, 1, 40),
            new Limits.Limit(1, 1, 40),
            new Limits.Limit(1, 1, 5),
            new Limits.Limit(1, 100_000, 4)));

    /** Endpoints of each kind. */
    @SuppressWarnings("unused")
    static final class Endpoints {
        @Limited(Limited.Kind.ENTRANCE)
        public void entrance() {}

        @Limited(Limited.Kind.LINK)
        public void link() {}

        @Limited(Limited.Kind.JOINING)
        public void joining() {}

        @Limited(Limited.Kind.EVALUATE)
        public void evaluate() {}

        @Limited(Limited.Kind.IMPORT)
        public void take() {}

        public void free() {}
    }

    @AfterEach
    void signOut() {
        SecurityContextHolder.clearContext();
    }

    @Test
    void opening_links_and_joining_leave_an_address_its_signing_in() throws Exception {
        for (int i = 0; i < 40; i++) {
            call("link", from("192.0.2.77"));
            call("joining", from("192.0.2.77"));
        }
        assertThatThrownBy(() -> call("link", from("192.0.2.77"))).isInstanceOf(TooMany.class);
        assertThat(call("entrance", from("192.0.2.77"))).isTrue();
    }

    private boolean call(String endpoint, MockHttpServletRequest from) throws Exception {
        return limit.preHandle(
                from,
                new MockHttpServletResponse(),
                new HandlerMethod(new Endpoints(), Endpoints.class.getMethod(endpoint)));
    }

    private static MockHttpServletRequest from(String address) {
        MockHttpServletRequest request = new MockHttpServletRequest();
        request.setRemoteAddr(address);
        return request;
    }

    private static MockHttpServletRequest signedIn(String address) {
        MockHttpServletRequest request = from(address);
        assertThat(request.getSession()).isNotNull();
        SecurityContextHolder.getContext()
                .setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                        new Adviser(1, 1, "a@example.org", "A"), null, java.util.List.of()));
        return request;
    }

    @Test
    void each_address_and_each_kind_has_a_measure_of_its_own() throws Exception {
        for (int i = 0; i < 3; i++) {
            assertThat(call("entrance", from("192.0.2.1"))).isTrue();
        }
        assertThatThrownBy(() -> call("entrance", from("192.0.2.1")))
                .isInstanceOfSatisfying(
                        TooMany.class, e -> assertThat(e.seconds()).isBetween(1L, 62L));
        assertThat(call("entrance", from("192.0.2.2"))).isTrue();
        assertThat(call("evaluate", from("192.0.2.1"))).isTrue();
    }

    @Test
    void one_session_has_its_measure_wherever_it_calls_from() throws Exception {
        MockHttpServletRequest one = signedIn("192.0.2.1");
        for (int i = 0; i < 4; i++) {
            assertThat(call("take", one)).isTrue();
        }
        one.setRemoteAddr("192.0.2.77");
        assertThatThrownBy(() -> call("take", one)).isInstanceOf(TooMany.class);
        MockHttpServletRequest another = signedIn("192.0.2.77");
        assertThat(call("take", another)).isTrue();
    }

    @Test
    void a_session_of_nobody_is_no_measure_to_slip_out_by() throws Exception {
        for (int i = 0; i < 3; i++) {
            MockHttpServletRequest fresh = from("192.0.2.1");
            assertThat(fresh.getSession()).isNotNull();
            assertThat(call("entrance", fresh)).isTrue();
        }
        MockHttpServletRequest fresh = from("192.0.2.1");
        assertThat(fresh.getSession()).isNotNull();
        assertThatThrownBy(() -> call("entrance", fresh)).isInstanceOf(TooMany.class);
    }

    @Test
    void what_has_no_limit_is_let_through_always() throws Exception {
        for (int i = 0; i < 1000; i++) {
            assertThat(call("free", from("192.0.2.1"))).isTrue();
        }
    }
}
