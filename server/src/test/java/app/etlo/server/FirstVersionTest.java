package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.testkit.Postgres;
import app.etlo.testkit.Visitor;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Map;
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
            visitor.get("/api/session").ok();
            assertThat(visitor.post(
                                    "/api/session",
                                    "{\"email\":\"first@etlo.example\",\"password\":\"made up for the fixture\"}")
                            .ok())
                    .contains("Lowmere advice")
                    .contains("\"role\":\"adviser\"");
            // exports come out in the version of the plan document that is written now
            Knowledge knowledge = KnowledgeLoader.shipped();
            assertThat(visitor.get("/api/plans/p1/dossier").ok())
                    .isEqualTo(Dossier.read(resource("dossier.json"), new PlanReader(knowledge), knowledge)
                            .write())
                    .contains("\"schemaVersion\" : 2");
            assertThat(visitor.get("/api/plans/p1/revisions").ok())
                    .contains("cereal rye, share: 50 % → 60 %")
                    .contains("\"kind\":\"undo\"");
            assertThat(visitor.get("/api/history/field/f1").ok()).contains("\"author\":\"earlier\"");
            assertThat(visitor.get("/api/people").ok()).contains("first@etlo.example");
            // and new passwords are hashed as slowly as the product is set up to
            visitor.send(
                            "PUT",
                            "/api/me/password",
                            "{\"old\":\"made up for the fixture\",\"password\":\"made up once more\"}",
                            Map.of())
                    .ok();
            try (Connection c = DriverManager.getConnection(url, pg.user(), pg.password());
                    Statement s = c.createStatement();
                    var hash = s.executeQuery("select password_hash from adviser")) {
                assertThat(hash.next()).isTrue();
                assertThat(hash.getString(1)).startsWith("$2a$12$");
            }
            // what was undone then is done again now
            assertThat(visitor.send(
                                    "POST",
                                    "/api/plans/p1/redo",
                                    "",
                                    Map.of("If-Match", "4", "X-Request-Id", "first-version-1"))
                            .ok())
                    .contains("\"sharePercent\":60.0");
            editedAcross(visitor);
        }
    }

    /** Saved, undone, merged and restored on top of revisions that were written as version 1. */
    private static void editedAcross(Visitor visitor) throws Exception {
        String now = visitor.get("/api/plans/p1")
                .ok()
                .replaceFirst("\\{\"plan\":", "")
                .replaceFirst(",\"revision\".*", "");
        assertThat(now).contains("\"schemaVersion\":2");
        visitor.save("p1", now.replace("\"sharePercent\":60.0", "\"sharePercent\":70.0"), 5, "first-version-2")
                .ok();
        assertThat(visitor.get("/api/plans/p1/revisions").ok()).contains("cereal rye, share: 60 % → 70 %");
        assertThat(visitor.send(
                                "POST",
                                "/api/plans/p1/undo",
                                "",
                                Map.of("If-Match", "6", "X-Request-Id", "first-version-3"))
                        .ok())
                .contains("\"sharePercent\":60.0");
        // an older page saves upon what it saw: its plan of version 1 meets a head of version 2, and only its change is
        // one
        ObjectNode seen = (ObjectNode) Json.tree(resource("dossier.json")).path("plan");
        assertThat(seen.path("schemaVersion").asInt()).isEqualTo(1);
        Visitor.Answer met = visitor.save("p1", seen.put("name", "Old page").toString(), 4, "first-version-4");
        assertThat(met.status()).isEqualTo(409);
        assertThat(Json.tree(met.body()).at("/comparison/mine"))
                .singleElement()
                .satisfies(words -> assertThat(words.asText()).contains("Old page"));
    }

    private static void fill(Postgres pg, String url) throws SQLException, IOException {
        pg.createDatabase("first_version");
        try (Connection c = DriverManager.getConnection(url, pg.user(), pg.password());
                Statement s = c.createStatement()) {
            s.execute(resource("database.sql"));
        }
    }
}
