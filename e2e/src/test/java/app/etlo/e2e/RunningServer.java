package app.etlo.e2e;

import app.etlo.testkit.Postgres;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** The built jar in a process of its own, with demo data, on a PostgreSQL of its own. One for all tests of a run. */
final class RunningServer {
    static final String DEMO_PASSWORD = "made up for the tests";

    private static RunningServer shared;

    private final int port;
    private final Path log;
    private final Path emails;
    private Process process;

    private RunningServer() throws IOException {
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        log = Files.createTempFile("etlo-e2e", ".log");
        emails = Files.createTempDirectory("etlo-e2e").resolve("emails.txt");
        Runtime.getRuntime().addShutdownHook(new Thread(() -> process.destroyForcibly()));
        start();
    }

    static synchronized RunningServer shared() {
        if (shared == null) {
            try {
                shared = new RunningServer();
            } catch (IOException e) {
                throw new java.io.UncheckedIOException(e);
            }
        }
        return shared;
    }

    /** Where the outbox stand-in prints what would be mailed. */
    Path emails() {
        return emails;
    }

    String url() {
        return "http://127.0.0.1:" + port;
    }

    /** Starts the server and returns when it answers. */
    void start() throws IOException {
        Postgres pg = Postgres.shared();
        List<String> command = new ArrayList<>(Unpacked.command());
        command.add("--spring.main.banner-mode=off");
        ProcessBuilder builder = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()));
        builder.environment().put("ETLO_PORT", String.valueOf(port));
        builder.environment().put("ETLO_DATABASE_URL", pg.jdbcUrl());
        builder.environment().put("ETLO_DATABASE_USER", pg.user());
        builder.environment().put("ETLO_DATABASE_PASSWORD", pg.password());
        builder.environment().put("ETLO_DEMO_PASSWORD", DEMO_PASSWORD);
        builder.environment().put("ETLO_OUTBOX", emails.toString());
        // all tests open their practices from one address
        builder.environment().put("ETLO_LIMITS_ENTRANCE_ADDRESS", "6000");
        builder.environment().put("ETLO_LIMITS_JOINING_ADDRESS", "6000");
        process = builder.start();
        for (int i = 0; i < 1200; i++) {
            if (!process.isAlive()) {
                throw new IllegalStateException("the server ended: " + Files.readString(log));
            }
            if (answers()) {
                return;
            }
        }
        throw new IllegalStateException("the server does not answer: " + Files.readString(log));
    }

    /** Ends the server at once, as a power cut would. */
    void kill() throws InterruptedException {
        process.destroyForcibly();
        process.waitFor(30, TimeUnit.SECONDS);
    }

    /** Asks the health page; waits a tenth of a second for an answer. */
    private boolean answers() {
        try {
            var connection = (java.net.HttpURLConnection) java.net
                    .URI
                    .create(url() + "/actuator/health/readiness")
                    .toURL()
                    .openConnection();
            connection.setConnectTimeout(100);
            connection.setReadTimeout(2000);
            return connection.getResponseCode() == 200 || pause();
        } catch (IOException e) {
            return pause();
        }
    }

    private boolean pause() {
        try {
            process.waitFor(100, TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        return false;
    }
}
