package app.etlo.server.print;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** As much of everything as a drawing may hold is drawn in little memory: a program of its own that has no more draws it. */
class DrawingMemoryTest {
    /** All that the program may take, its fonts and the page with them. */
    private static final String HEAP = "-Xmx64m";

    private static final long ENDS_SECONDS = 120;

    /** Draws all of them, one after the other. */
    public static final class Draws {
        private Draws() {}

        public static void main(String[] args) {
            Printing printing = new Printing(Duration.ofSeconds(60));
            SectionDrawingTest.most().forEach(d -> {
                Printing.Picture picture = printing.picture((String) d.get()[1]);
                if (!picture.refused().isEmpty()) {
                    System.out.println(d.get()[0] + ": " + picture.refused());
                    System.exit(1);
                }
            });
            System.out.println("all drawn");
        }
    }

    @Test
    void the_most_that_is_let_through_is_drawn_in_64_mb() throws IOException, InterruptedException {
        Process drawing = new ProcessBuilder(List.of(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        HEAP,
                        "-XX:TieredStopAtLevel=1",
                        "-Djava.awt.headless=true",
                        "-cp",
                        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
                        Draws.class.getName()))
                .redirectErrorStream(true)
                .start();
        String said = new String(drawing.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(drawing.waitFor(ENDS_SECONDS, TimeUnit.SECONDS)).isTrue();
        assertThat(said).contains("all drawn");
    }
}
