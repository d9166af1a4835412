package app.etlo.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.awaitility.Awaitility;

/** What the outbox stand-in printed. */
final class Letters {
    static final Path FILE = Path.of(
            System.getProperty("java.io.tmpdir"),
            "etlo-letters-" + ProcessHandle.current().pid());
    private static final Pattern LINK = Pattern.compile("/reset#([A-Za-z0-9_-]+)");

    private Letters() {}

    /** Waits for a letter to an address and gives it. */
    static String to(String address) {
        return Awaitility.await().atMost(Duration.ofSeconds(20)).until(() -> find(address), t -> !t.isEmpty());
    }

    /** The secret of the link in the newest letter to an address. */
    static String resetToken(String address) {
        Matcher link = LINK.matcher(to(address));
        if (!link.find()) {
            throw new IllegalStateException("no link in the letter");
        }
        return link.group(1);
    }

    /** How many letters an address has got so far. */
    static long count(String address) {
        try {
            return Files.readString(FILE)
                    .lines()
                    .filter(l -> l.equals("To: " + address))
                    .count();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static String find(String address) {
        try {
            String found = "";
            if (Files.exists(FILE)) {
                for (String letter : Files.readString(FILE).split("\n--\n")) {
                    if (letter.contains("To: " + address + "\n")) {
                        found = letter;
                    }
                }
            }
            return found;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
