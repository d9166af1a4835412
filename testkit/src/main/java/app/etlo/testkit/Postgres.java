package app.etlo.testkit;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;

/** One private PostgreSQL cluster for this JVM, started by scripts/pg.sh and stopped with the JVM. */
public final class Postgres {
    private static Postgres shared;

    private final Path dir;
    private final int port;
    private final String password;

    private Postgres(Path dir, int port, String password) {
        this.dir = dir;
        this.port = port;
        this.password = password;
    }

    public static synchronized Postgres shared() {
        if (shared == null) {
            shared = start();
        }
        return shared;
    }

    public String jdbcUrl() {
        return "jdbc:postgresql://127.0.0.1:" + port + "/etlo";
    }

    public String user() {
        return "etlo";
    }

    public String password() {
        return password;
    }

    /** Makes one more, empty database in the cluster. */
    public void createDatabase(String name) {
        ask("create database " + name + " owner etlo");
    }

    private void ask(String sql) {
        java.util.List<String> psql = new java.util.ArrayList<>();
        if (System.getProperty("user.name").equals("root")) {
            psql.addAll(java.util.List.of("runuser", "-u", "postgres", "--"));
        }
        psql.addAll(java.util.List.of(
                "psql", "-q", "-h", dir.toString(), "-p", String.valueOf(port), "-U", "postgres", "-c", sql));
        try {
            Process p = new ProcessBuilder(psql)
                    .directory(new File("/"))
                    .redirectErrorStream(true)
                    .start();
            String out = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            if (p.waitFor() != 0) {
                throw new IllegalStateException(out);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static Postgres start() {
        try {
            Path dir = Files.createTempDirectory("etlo-pg");
            Path script = script();
            Runtime.getRuntime().addShutdownHook(new Thread(() -> {
                run(script, "stop", dir);
                try {
                    new ProcessBuilder("rm", "-rf", dir.toString()).start().waitFor(30, TimeUnit.SECONDS);
                } catch (IOException | InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
            }));
            String out = run(script, "start", dir);
            int port = Integer.parseInt(out.strip().replace("PGPORT=", ""));
            return new Postgres(dir, port, Files.readString(dir.resolve("password")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Path script() {
        for (Path p = Path.of("").toAbsolutePath(); p != null; p = p.getParent()) {
            Path s = p.resolve("scripts/pg.sh");
            if (Files.isExecutable(s)) {
                return s;
            }
        }
        throw new IllegalStateException(
                "scripts/pg.sh not found above " + Path.of("").toAbsolutePath());
    }

    private static String run(Path script, String verb, Path dir) {
        try {
            // stderr to a file: a pipe that the server inherited would never end
            File err = Files.createTempFile("etlo-pg", ".err").toFile();
            ProcessBuilder builder = new ProcessBuilder(script.toString(), verb, dir.toString()).redirectError(err);
            builder.environment().put("ETLO_PG_THROWAWAY", "1");
            Process p = builder.start();
            String out = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            int rc = p.waitFor();
            String errors = Files.readString(err.toPath());
            Files.delete(err.toPath());
            if (rc != 0) {
                throw new IllegalStateException(script + " " + verb + " ended with " + rc + ": " + errors);
            }
            return out;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
