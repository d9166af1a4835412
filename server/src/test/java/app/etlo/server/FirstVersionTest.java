package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.testkit.Postgres;
import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.servlet.context.ServletWebServerApplicationContext;

/** A database made by the first version, with a practice, a plan and its history in it, is carried forward by its start. */
class FirstVersionTest {
    private static String resource(String name) throws IOException {
        try (InputStream in =
                Objects.requireNonNull(FirstVersionTest.class.getResourceAsStream("/first-version/" + name))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void everything_of_it_is_there_afterwards() throws Exception {
        Postgres pg = Postgres.shared();
        String url = pg.jdbcUrl().replaceAll("etlo$", "first_version");
        fill(pg, url);
        try (var context = new SpringApplicationBuilder(EtloServer.class)
                .run(
                        "--server.port=0",
                        "--spring.datasource.url=" + url,
                        "--spring.datasource.username=" + pg.user(),
                        "--spring.datasource.password=" + pg.password(),
                        "--spring.main.banner-mode=off")) {
            int port = ((ServletWebServerApplicationContext) context)
                    .getWebServer()
                    .getPort();
            Visitor visitor = new Visitor("http://127.0.0.1:" + port);
            assertThat(visitor.post(
                            "/api/session",
                            "{\"email\":\"first@etlo.example\",\"password\":\"made up for the fixture\"}"))
                    .contains("Lowmere advice")
                    .contains("\"role\":\"adviser\"");
            assertThat(visitor.get("/api/plans/p1/dossier")).isEqualTo(resource("dossier.json"));
            assertThat(visitor.get("/api/plans/p1/revisions"))
                    .contains("cereal rye, share: 50 % → 60 %")
                    .contains("\"kind\":\"undo\"");
            assertThat(visitor.get("/api/history/field/f1")).contains("\"author\":\"earlier\"");
            assertThat(visitor.get("/api/people")).contains("first@etlo.example");
            // what was undone then is done again now
            assertThat(visitor.post("/api/plans/p1/redo", "")).contains("\"sharePercent\":60.0");
        }
    }

    private static void fill(Postgres pg, String url) throws SQLException, IOException {
        pg.createDatabase("first_version");
        try (Connection c = DriverManager.getConnection(url, pg.user(), pg.password());
                Statement s = c.createStatement()) {
            s.execute(resource("database.sql"));
        }
    }

    /** A signed-in caller over HTTP. */
    private static final class Visitor {
        private final CookieManager cookies = new CookieManager();
        private final HttpClient http =
                HttpClient.newBuilder().cookieHandler(cookies).build();
        private final String base;

        Visitor(String base) throws IOException, InterruptedException {
            this.base = base;
            get("/api/session");
        }

        String get(String path) throws IOException, InterruptedException {
            return send(HttpRequest.newBuilder(URI.create(base + path)).GET());
        }

        String post(String path, String body) throws IOException, InterruptedException {
            return send(HttpRequest.newBuilder(URI.create(base + path))
                    .header("Content-Type", "application/json")
                    .header("If-Match", "4")
                    .header("X-Request-Id", "first-version-1")
                    .POST(HttpRequest.BodyPublishers.ofString(body)));
        }

        private String send(HttpRequest.Builder request) throws IOException, InterruptedException {
            cookies.getCookieStore().getCookies().stream()
                    .filter(c -> c.getName().equals("XSRF-TOKEN"))
                    .forEach(c -> request.header("X-XSRF-TOKEN", c.getValue()));
            HttpResponse<String> answer =
                    http.send(request.build(), HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
            assertThat(answer.statusCode()).as(answer.body()).isBetween(200, 299);
            return answer.body();
        }
    }
}
