package app.etlo.e2e;

import app.etlo.testkit.Visitor;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.awaitility.Awaitility;

/** The product as its users run it: the etlo command on a data folder of its own, with a database that syncs to disk. */
final class Product implements AutoCloseable {
    private final Path home;
    private final int port;
    private final Map<String, String> environment = new HashMap<>();

    Product(Path home) throws IOException {
        this.home = home;
        this.port = freePort();
        environment.put("ETLO_HOME", home.toString());
        environment.put("ETLO_JAR", System.getProperty("server.jar"));
        if (Unpacked.readableByAll()) {
            environment.put("ETLO_APP", Unpacked.folder().toString());
        }
        environment.put("ETLO_JAVA_OPTIONS", "-XX:TieredStopAtLevel=1");
        // a test signs in more often than people do, and all from one address
        environment.put("ETLO_LIMITS_ENTRANCE_ADDRESS", "6000");
        environment.put("ETLO_LIMITS_ENTRANCE_SESSION", "6000");
        environment.put("ETLO_LIMITS_JOINING_ADDRESS", "6000");
        environment.put("ETLO_LIMITS_JOINING_SESSION", "6000");
    }

    /** A data folder that the user postgres can reach too. */
    static Product fresh() throws IOException {
        Path home = Files.createTempDirectory("etlo-it");
        return new Product(home);
    }

    static int freePort() throws IOException {
        try (ServerSocket free = new ServerSocket(0)) {
            return free.getLocalPort();
        }
    }

    Product with(String variable, String value) {
        environment.put(variable, value);
        return this;
    }

    /** What a command said, and how it ended. */
    record Said(int code, String text) {}

    Said etlo(String... arguments) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(script().toString()));
        command.addAll(List.of(arguments));
        Path out = Files.createTempFile("etlo-it", ".out");
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(out.toFile());
        builder.environment().putAll(environment);
        Process p = builder.start();
        if (!p.waitFor(180, TimeUnit.SECONDS)) {
            p.destroyForcibly();
            throw new IllegalStateException("etlo " + List.of(arguments) + " does not end");
        }
        String text = Files.readString(out);
        Files.delete(out);
        return new Said(p.exitValue(), text);
    }

    /** Starts it, or starts it again after whatever happened to it. */
    void start() throws IOException, InterruptedException {
        Said said = etlo("start", "--port", String.valueOf(port));
        if (said.code() != 0) {
            throw new IllegalStateException(said.text() + log());
        }
    }

    String url() {
        return "http://127.0.0.1:" + port;
    }

    Path home() {
        return home;
    }

    Visitor visitor() throws IOException, InterruptedException {
        Visitor v = new Visitor(url());
        v.get("/api/session").ok();
        return v;
    }

    /** A visitor of another server, once it answers. */
    Visitor visitorAt(String url) {
        Visitor v = new Visitor(url);
        Awaitility.await()
                .atMost(Duration.ofSeconds(90))
                .ignoreExceptions()
                .until(() -> v.get("/api/session").status() == 200);
        return v;
    }

    /** A visitor with a practice of their own. */
    Visitor practice(String email, String password) throws IOException, InterruptedException {
        Visitor v = visitor();
        v.post(
                        "/api/practices",
                        "{\"practice\":\"Vale advice\",\"email\":\"" + email + "\",\"password\":\"" + password + "\"}")
                .ok();
        return v;
    }

    Visitor signedIn(String email, String password) throws IOException, InterruptedException {
        Visitor v = visitor();
        v.post("/api/session", "{\"email\":\"" + email + "\",\"password\":\"" + password + "\"}")
                .ok();
        return v;
    }

    /** Ends the server at once: kill -9. */
    void killServer() throws IOException {
        kill(Files.readString(home.resolve("server.pid")).strip());
    }

    /** Ends the database and everything it started at once: kill -9. */
    void killDatabase() throws IOException {
        String postmaster =
                Files.readAllLines(home.resolve("db/data/postmaster.pid")).get(0);
        ProcessHandle.of(Long.parseLong(postmaster)).ifPresent(p -> {
            List<ProcessHandle> all = new ArrayList<>(p.descendants().toList());
            all.add(0, p);
            all.forEach(ProcessHandle::destroyForcibly);
        });
    }

    /** The command line of the server. */
    String commandLine() throws IOException {
        String pid = Files.readString(home.resolve("server.pid")).strip();
        return Files.readString(Path.of("/proc", pid, "cmdline")).replace('\0', ' ');
    }

    /** Runs a program of PostgreSQL's as its superuser; what it printed goes to a file. */
    void asSuperuser(Path out, String... program) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>();
        if (System.getProperty("user.name").equals("root")) {
            command.addAll(List.of("runuser", "-u", "postgres", "--"));
        }
        command.add(program[0]);
        command.addAll(List.of(
                "-h",
                home.resolve("db").toString(),
                "-p",
                Files.readAllLines(home.resolve("db/data/postmaster.pid")).get(3),
                "-U",
                "postgres"));
        command.addAll(List.of(program).subList(1, program.length));
        Process p = new ProcessBuilder(command)
                .directory(new java.io.File("/"))
                .redirectErrorStream(false)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .redirectOutput(out.toFile())
                .start();
        if (p.waitFor() != 0) {
            throw new IllegalStateException(List.of(program) + " ended with " + p.exitValue());
        }
    }

    private static void kill(String pid) {
        ProcessHandle.of(Long.parseLong(pid)).ifPresent(p -> {
            p.destroyForcibly();
            p.onExit().join();
        });
    }

    /** One more server on the same database. */
    Process anotherServer(int itsPort) throws IOException {
        String database =
                Files.readAllLines(home.resolve("db/data/postmaster.pid")).get(3);
        ProcessBuilder builder = new ProcessBuilder(Unpacked.command())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD);
        builder.environment().putAll(environment);
        builder.environment().put("ETLO_PORT", String.valueOf(itsPort));
        builder.environment().put("ETLO_DATABASE_URL", "jdbc:postgresql://127.0.0.1:" + database + "/etlo");
        builder.environment().put("ETLO_DATABASE_USER", "etlo");
        builder.environment().put("ETLO_DATABASE_PASSWORD", Files.readString(home.resolve("db/password")));
        return builder.start();
    }

    String log() throws IOException {
        Path log = home.resolve("server.log");
        return Files.exists(log) ? Files.readString(log) : "";
    }

    @Override
    public void close() throws IOException, InterruptedException {
        etlo("stop");
        new ProcessBuilder("rm", "-rf", home.toString()).start().waitFor(30, TimeUnit.SECONDS);
    }

    private static Path script() {
        for (Path p = Path.of("").toAbsolutePath(); p != null; p = p.getParent()) {
            Path s = p.resolve("etlo");
            if (Files.isExecutable(s) && Files.isRegularFile(s)) {
                return s;
            }
        }
        throw new IllegalStateException("the etlo command is not above this folder");
    }

    static String resource(String name) throws IOException {
        try (var in = Product.class.getResourceAsStream(name)) {
            return new String(java.util.Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
