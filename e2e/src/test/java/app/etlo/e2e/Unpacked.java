package app.etlo.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The executable jar laid out in a folder, from which it starts in half the time. */
final class Unpacked {
    private static Path jar;

    private Unpacked() {}

    static synchronized Path jar() {
        if (jar == null) {
            try {
                Path built = Path.of(System.getProperty("server.jar"));
                Path folder = Files.createTempDirectory("etlo-app").resolve("app");
                int code = new ProcessBuilder(
                                java().toString(),
                                "-Djarmode=tools",
                                "-jar",
                                built.toString(),
                                "extract",
                                "--destination",
                                folder.toString())
                        .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                        .start()
                        .waitFor();
                if (code != 0) {
                    throw new IllegalStateException("the jar cannot be unpacked");
                }
                jar = folder.resolve(built.getFileName());
                Runtime.getRuntime().addShutdownHook(new Thread(() -> remove(folder.getParent())));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
        }
        return jar;
    }

    static Path java() {
        return Path.of(System.getProperty("java.home"), "bin", "java");
    }

    private static void remove(Path folder) {
        try {
            new ProcessBuilder("rm", "-rf", folder.toString()).start().waitFor();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
