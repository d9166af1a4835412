package app.etlo.core;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.TimeUnit;

/** Runs one of Debian's programs that the checks compare with; the test command installs them. */
public final class ReferenceProgram {
    private ReferenceProgram() {}

    /** What a program prints when it is given this on its standard input. */
    public static String run(String input, String... command) {
        try {
            Process p = new ProcessBuilder(command).redirectErrorStream(true).start();
            try (OutputStream in = p.getOutputStream()) {
                in.write(input.getBytes(StandardCharsets.UTF_8));
            }
            String out = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            if (!p.waitFor(30, TimeUnit.SECONDS) || p.exitValue() != 0) {
                throw new IllegalStateException(String.join(" ", command) + " said: " + out);
            }
            return out.strip();
        } catch (IOException e) {
            throw new IllegalStateException(
                    command[0] + " is not installed; ./etlo test installs it (packages units, geographiclib-tools)", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** The value of an expression in a unit, by GNU units. */
    public static double units(String expression, String unit) {
        return Double.parseDouble(run("", "units", "--terse", "--digits", "15", expression, unit));
    }
}
