package app.etlo.server.outbox;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermission;
import java.util.Set;

/** The stand-in that ships with Etlo: prints emails to a file that only its owner reads. */
final class PrintedCarrier implements Carrier {
    private final Path file;

    PrintedCarrier(Path file) {
        this.file = file;
    }

    @Override
    public synchronized void deliver(Email email) {
        String printed = "To: " + email.to() + "\nSubject: " + email.subject() + "\n\n" + email.text() + "\n\n--\n";
        try {
            boolean fresh = Files.notExists(file);
            if (fresh) {
                Files.createFile(file);
                Files.setPosixFilePermissions(
                        file, Set.of(PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE));
            }
            Files.writeString(file, printed, StandardCharsets.UTF_8, StandardOpenOption.APPEND);
        } catch (IOException e) {
            throw new NotDelivered(e);
        }
    }
}
