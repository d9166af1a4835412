package app.etlo.server.edge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.etlo.server.access.ThisMachine;
import jakarta.servlet.http.HttpServlet;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.springframework.boot.web.embedded.tomcat.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServer;

/** Who is believed about where a request comes from. */
class EdgeConfigTest {
    /** What a server with these proxies takes a request with this header to be. */
    private static String seen(String proxies, String forwardedFor) throws Exception {
        TomcatServletWebServerFactory factory = new TomcatServletWebServerFactory(0);
        new EdgeConfig().edge(proxies, "none").customize(factory);
        WebServer server = factory.getWebServer(context -> context.addServlet("echo", new HttpServlet() {
                    private static final long serialVersionUID = 1L;

                    @Override
                    protected void doGet(HttpServletRequest request, HttpServletResponse response) throws IOException {
                        response.getWriter().print(request.getRemoteAddr() + " " + ThisMachine.asked(request));
                    }
                })
                .addMapping("/"));
        server.start();
        try {
            HttpRequest.Builder ask = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + server.getPort() + "/"));
            if (!forwardedFor.isEmpty()) {
                ask.header("X-Forwarded-For", forwardedFor);
            }
            return HttpClient.newHttpClient()
                    .send(ask.build(), HttpResponse.BodyHandlers.ofString())
                    .body();
        } finally {
            server.stop();
        }
    }

    @Test
    void without_a_named_proxy_the_connection_counts_and_nothing_that_is_said() throws Exception {
        assertThat(seen("", "")).isEqualTo("127.0.0.1 true");
        assertThat(seen("", "203.0.113.7")).isEqualTo("127.0.0.1 false");
        assertThat(seen("10.0.0.9", "203.0.113.7")).isEqualTo("127.0.0.1 false");
    }

    @Test
    void of_a_named_proxy_only_what_it_added_itself_counts() throws Exception {
        assertThat(seen("10.0.0.9, 127.0.0.1", "203.0.113.7")).isEqualTo("203.0.113.7 false");
        // somebody in the office claims to be the server's own machine; the proxy adds who they are
        assertThat(seen("127.0.0.1", "127.0.0.1, 192.168.1.5")).isEqualTo("192.168.1.5 false");
        assertThat(seen("127.0.0.1", "127.0.0.1")).endsWith(" false");
    }

    @Test
    void the_setting_that_believed_every_private_address_is_refused() {
        assertThatThrownBy(() -> new EdgeConfig().edge("", "native")).hasMessageContaining("ETLO_PROXY");
    }
}
