package app.etlo.e2e;

import app.etlo.testkit.Postgres;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.util.List;

/** The executable jar unpacked, with an archive of its classes: it starts in a quarter of the time. One for all forks. */
final class Unpacked {
    private static Path folder;

    private Unpacked() {}

    /** The folder, as {@code scripts/lay-out.sh} makes it; a second fork waits for the first. */
    static synchronized Path folder() {
        if (folder == null) {
            Path built = Path.of(System.getProperty("server.jar"));
            Path app = Path.of("target", "app").toAbsolutePath();
            try {
                ProcessBuilder builder = new ProcessBuilder(script().toString(), built.toString(), app.toString())
                        .redirectErrorStream(true)
                        .redirectOutput(Files.createTempFile("etlo-app", ".log").toFile());
                Postgres pg = Postgres.shared();
                builder.environment().put("JAVA", java().toString());
                builder.environment().put("ETLO_DATABASE_URL", pg.jdbcUrl());
                builder.environment().put("ETLO_DATABASE_USER", pg.user());
                builder.environment().put("ETLO_DATABASE_PASSWORD", pg.password());
                if (builder.start().waitFor() != 0) {
                    throw new IllegalStateException("the jar cannot be unpacked");
                }
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
            folder = app;
        }
        return folder;
    }

    /** Whether every user of this machine can read it: started by root, the product runs its server as another. */
    static boolean readableByAll() throws IOException {
        for (Path p = folder(); p != null; p = p.getParent()) {
            if (!Files.getPosixFilePermissions(p).contains(PosixFilePermission.OTHERS_EXECUTE)) {
                return false;
            }
        }
        return true;
    }

    /** How a server is started from it. */
    static List<String> command() {
        return List.of(
                java().toString(),
                "-XX:TieredStopAtLevel=1",
                "-XX:SharedArchiveFile=" + folder().resolve("etlo.jsa"),
                "-jar",
                folder().resolve("etlo.jar").toString());
    }

    static Path java() {
        return Path.of(System.getProperty("java.home"), "bin", "java");
    }

    private static Path script() {
        return Path.of("..", "scripts", "lay-out.sh").toAbsolutePath().normalize();
    }
}
