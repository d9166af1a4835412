package app.etlo.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import app.etlo.testkit.Visitor;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What must not be lost when the server, the database, the disk or a service it leans on fails. */
class FaultIT {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final String PASSWORD = "correct horse";
    /** Kills of the server, and half of those of the database; scripts/attack.sh sets more. */
    private static final int KILLS = Integer.getInteger("etlo.kills", 2);

    private static Product product;
    private static int mailPort;

    @BeforeAll
    static void start() throws Exception {
        mailPort = Product.freePort();
        product = Product.fresh()
                .with("ETLO_MAIL_HOST", "127.0.0.1")
                .with("ETLO_MAIL_PORT", String.valueOf(mailPort))
                .with("ETLO_MAIL_RETRY", "300ms")
                .with("ETLO_REFRESH_POLL", "200ms")
                .with("ETLO_REFRESH_HEARTBEAT", "1s");
        product.start();
    }

    @AfterAll
    static void stop() throws Exception {
        product.close();
    }

    private static String address() {
        return UUID.randomUUID() + "@example.org";
    }

    @Test
    void a_server_killed_again_and_again_in_the_middle_of_saves_loses_and_doubles_nothing() throws Exception {
        Visitor visitor = product.practice(address(), PASSWORD);
        try (Savers savers = new Savers(visitor, 4)) {
            savers.start();
            for (int i = 0; i < KILLS; i++) {
                savers.awaitAcknowledged(15 + 7 * (i % 3));
                product.killServer();
                product.start();
            }
            savers.awaitAcknowledged(10);
            savers.finish();
            assertThat(savers.faults(visitor)).isEmpty();
        }
    }

    @Test
    void a_server_that_ends_by_itself_is_started_again_and_one_without_memory_ends() throws Exception {
        Visitor visitor = product.practice(address(), PASSWORD);
        product.killServer();
        Awaitility.await()
                .atMost(Duration.ofSeconds(90))
                .ignoreExceptions()
                .until(() -> visitor.get("/api/farms").status() == 200);
        assertThat(product.commandLine())
                .contains("-XX:+ExitOnOutOfMemoryError")
                .containsPattern("-Xmx[0-9]+m ");
    }

    @Test
    void a_database_killed_again_and_again_in_the_middle_of_saves_loses_and_doubles_nothing() throws Exception {
        Visitor visitor = product.practice(address(), PASSWORD);
        try (Savers savers = new Savers(visitor, 4)) {
            savers.start();
            for (int i = 0; i < 2 * KILLS; i++) {
                savers.awaitAcknowledged(12 + 5 * (i % 6));
                product.killDatabase();
                String port = databasePort();
                restartDatabase();
                assertThat(databasePort())
                        .as("the server finds it again where it was")
                        .isEqualTo(port);
            }
            savers.awaitAcknowledged(10);
            savers.finish();
            assertThat(savers.faults(visitor)).isEmpty();
        }
    }

    private static String databasePort() throws IOException {
        return Files.readAllLines(product.home().resolve("db/data/postmaster.pid"))
                .get(3);
    }

    private static void restartDatabase() throws Exception {
        Product.Said said = product.etlo("start");
        assertThat(said.code()).as(said.text()).isZero();
    }

    @Test
    void while_the_database_is_away_the_state_is_told_and_the_next_start_puts_it_right() throws Exception {
        Visitor visitor = product.practice(address(), PASSWORD);
        product.killDatabase();
        Visitor.Answer a = visitor.get("/api/farms");
        assertThat(a.status()).isEqualTo(503);
        assertThat(a.body()).contains("The database does not answer").doesNotContain("Exception");
        assertThat(a.headers()).containsKey("retry-after");
        product.start();
        assertThat(Awaitility.await()
                        .atMost(Duration.ofSeconds(30))
                        .until(() -> visitor.get("/api/farms").status(), s -> s == 200))
                .isEqualTo(200);
    }

    @Test
    void two_servers_serve_one_practice() throws Exception {
        String email = address();
        Visitor here = product.practice(email, PASSWORD);
        int otherPort = Product.freePort();
        Process second = product.anotherServer(otherPort);
        try {
            Visitor there = here.at("http://127.0.0.1:" + otherPort);
            Awaitility.await()
                    .atMost(Duration.ofSeconds(90))
                    .ignoreExceptions()
                    .until(() -> there.get("/api/session").status() == 200);
            assertThat(there.get("/api/session").ok()).contains(email);
            here.put(
                            "/api/farms/farm1",
                            "{\"mine\":{\"id\":\"farm1\",\"name\":\"Vale\",\"units\":\"us\",\"currency\":\"USD\"}}")
                    .ok();
            here.put(
                            "/api/fields/f1",
                            "{\"mine\":{\"id\":\"f1\",\"farmId\":\"farm1\",\"name\":\"One\",\"area\":{\"value\":3,\"unit\":\"ha\"}}}")
                    .ok();
            var plan = JSON.readTree(there.get("/api/fields/f1/plan").ok())
                    .path("plan")
                    .<com.fasterxml.jackson.databind.node.ObjectNode>deepCopy();
            String id = plan.path("id").asText();
            String changed = plan.put("name", "changed").toString();
            String request = UUID.randomUUID().toString();
            assertThat(JSON.readTree(here.save(id, changed, 1, request).ok())
                            .path("revision")
                            .asInt())
                    .isEqualTo(2);
            // sent again to the other server: taken once
            assertThat(JSON.readTree(there.save(id, changed, 1, request).ok())
                            .path("revision")
                            .asInt())
                    .isEqualTo(2);
            assertThat(there.send(
                                    "POST",
                                    "/api/plans/" + id + "/undo",
                                    "",
                                    Map.of(
                                            "If-Match",
                                            "2",
                                            "X-Request-Id",
                                            UUID.randomUUID().toString()))
                            .ok())
                    .doesNotContain("changed");
            there.send("DELETE", "/api/me/sessions", null, Map.of()).ok();
            assertThat(here.get("/api/farms").status()).isEqualTo(401);
        } finally {
            second.destroyForcibly();
            assertThat(second.waitFor(30, TimeUnit.SECONDS)).isTrue();
        }
    }

    @Test
    void fields_that_a_dying_server_had_taken_are_computed_by_the_other() throws Exception {
        Map<String, String> file = Map.of("Content-Type", "application/octet-stream");
        Visitor here = product.practice(address(), PASSWORD);
        String kept = here.send("POST", "/api/weather?name=Yard&latitude=50", weather(2), file)
                .ok();
        String series = JSON.readTree(kept).at("/series/id").asText();
        for (int i = 0; i < 20; i++) {
            String one = Product.resource("/upper-bank.json")
                    .replace("\"p1\"", "\"p1-" + i + "\"")
                    .replace("\"id\": \"f1\",", "\"id\": \"f1-" + i + "\", \"weather\": \"" + series + "\",")
                    .replace("\"f1\"", "\"f1-" + i + "\"");
            here.send("POST", "/api/dossiers", one, file).ok();
        }
        int otherPort = Product.freePort();
        Process second = product.anotherServer(otherPort);
        try {
            Visitor there = here.at("http://127.0.0.1:" + otherPort);
            Awaitility.await()
                    .atMost(Duration.ofSeconds(90))
                    .ignoreExceptions()
                    .until(() -> there.get("/api/session").status() == 200);
            String list = "/api/fields";
            here.get(list).ok();
            Awaitility.await().atMost(Duration.ofSeconds(60)).until(() -> waiting(here) == 0);
            here.send("POST", "/api/weather?name=Yard&latitude=50&replaces=" + series, weather(4), file)
                    .ok();
            Awaitility.await()
                    .pollInterval(Duration.ofMillis(20))
                    .atMost(Duration.ofSeconds(30))
                    .until(() -> waiting(there) > 0);
            second.destroyForcibly();
            Awaitility.await().atMost(Duration.ofSeconds(60)).until(() -> waiting(here) == 0);
            assertThat(here.get(list).ok()).endsWith("\"pending\":0}").doesNotContain("\"current\":false");
        } finally {
            second.destroyForcibly();
            assertThat(second.waitFor(30, TimeUnit.SECONDS)).isTrue();
        }
    }

    private static int waiting(Visitor visitor) throws Exception {
        return JSON.readTree(visitor.get("/api/refresh").ok()).path("waiting").asInt();
    }

    /** Two years of mild days with so much rain on every third. */
    private static String weather(int rainMm) {
        StringBuilder text = new StringBuilder("date,tmin_c,tmax_c,prcp_mm\n");
        for (LocalDate d = LocalDate.of(2023, 1, 1); d.getYear() < 2025; d = d.plusDays(1)) {
            double mean = 10 - 9 * Math.cos(d.getDayOfYear() * 2 * Math.PI / 365);
            text.append(String.format(
                    Locale.ROOT, "%s,%.1f,%.1f,%d%n", d, mean - 5, mean + 5, d.getDayOfMonth() % 3 == 0 ? rainMm : 0));
        }
        return text.toString();
    }

    @Test
    void a_mail_service_that_hangs_or_is_dead_holds_up_no_page_and_the_email_comes_once_when_it_is_back()
            throws Exception {
        String email = address();
        Visitor visitor = product.practice(email, PASSWORD);
        try (ServerSocket hanging = new ServerSocket(mailPort, 50, InetAddress.getByName("127.0.0.1"))) {
            hanging.setSoTimeout(30_000);
            visitor.post("/api/resets", "{\"email\":\"" + email + "\"}").ok();
            // the service has the connection and says nothing; everything else goes on
            try (Socket held = hanging.accept()) {
                assertThat(held.isConnected()).isTrue();
                assertThat(visitor.get("/api/people").ok()).contains(email);
            }
        }
        // now it is dead; then it is back
        assertThat(visitor.post("/api/resets", "{\"email\":\"nobody-" + email + "\"}")
                        .status())
                .isEqualTo(202);
        GreenMail back = new GreenMail(new ServerSetup(mailPort, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
        back.start();
        try {
            assertThat(back.waitForIncomingEmail(60_000, 1)).isTrue();
            assertThat(back.getReceivedMessages()[0].getContent().toString()).contains("/reset#");
            // an email that was delivered is not sent again by the tries that follow
            Visitor other = product.practice("second-" + email, PASSWORD);
            other.post("/api/resets", "{\"email\":\"second-" + email + "\"}").ok();
            assertThat(back.waitForIncomingEmail(60_000, 2)).isTrue();
            assertThat(back.getReceivedMessages()).hasSize(2);
        } finally {
            back.stop();
        }
        assertThat(product.log()).doesNotContain(email);
    }

    @Test
    void a_full_disk_is_told_and_what_was_typed_is_taken_when_there_is_room() throws Exception {
        Path disk = Files.createTempDirectory("etlo-disk");
        Process mount = new ProcessBuilder("mount", "-t", "tmpfs", "-o", "size=330m", "tmpfs", disk.toString())
                .redirectErrorStream(true)
                .start();
        assumeTrue(
                mount.waitFor() == 0,
                "not tested here: mounting a small disk is not allowed ("
                        + new String(mount.getInputStream().readAllBytes()).strip() + ")");
        Product small = new Product(disk);
        try {
            small.start();
            Visitor visitor = small.practice(address(), PASSWORD);
            Visitor.Answer taken = visitor.send(
                    "POST",
                    "/api/dossiers",
                    Product.resource("/upper-bank.json"),
                    Map.of("Content-Type", "application/octet-stream"));
            taken.ok();
            var plan = JSON.readTree(visitor.get("/api/plans/p1").ok())
                    .path("plan")
                    .<com.fasterxml.jackson.databind.node.ObjectNode>deepCopy();
            Path filler = disk.resolve("filler");
            fill(filler);
            int revision = 1;
            String name = "";
            String request = "";
            Visitor.Answer answer = null;
            for (int i = 0; i < 4000; i++) {
                name = "save " + i;
                request = UUID.randomUUID().toString();
                answer = visitor.save("p1", plan.put("name", name).toString(), revision, request);
                if (answer.status() != 200) {
                    break;
                }
                revision++;
            }
            assertThat(answer.status()).as(answer.body()).isIn(503, 507);
            assertThat(answer.body())
                    .containsAnyOf("The server's disk is full", "The database does not answer")
                    .doesNotContain("Exception");
            Files.delete(filler);
            // had the database ended, the next start would bring it back
            small.start();
            String last = plan.toString();
            int parent = revision;
            String again = request;
            Visitor.Answer late = Awaitility.await()
                    .atMost(Duration.ofSeconds(60))
                    .until(() -> visitor.save("p1", last, parent, again), a -> a.status() == 200);
            assertThat(JSON.readTree(late.body()).path("revision").asInt()).isEqualTo(revision + 1);
            assertThat(JSON.readTree(visitor.get("/api/plans/p1").ok())
                            .at("/plan/name")
                            .asText())
                    .isEqualTo(name);
        } finally {
            small.etlo("stop");
            new ProcessBuilder("umount", "-l", disk.toString()).start().waitFor(30, TimeUnit.SECONDS);
            Files.deleteIfExists(disk);
        }
    }

    private static void fill(Path file) throws IOException {
        byte[] block = new byte[1 << 16];
        try (var out = Files.newOutputStream(file)) {
            while (true) {
                out.write(block);
            }
        } catch (IOException full) {
            assertThat(full.getMessage()).containsIgnoringCase("space");
        }
    }
}
