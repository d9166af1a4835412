package app.etlo.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.testkit.Visitor;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A backup of the running product, put back on an empty machine; and files that are none. */
class BackupIT {
    private static final String EMAIL = "keeper@example.org";
    private static final String PASSWORD = "correct horse";

    private static Visitor.Answer take(Visitor visitor) throws IOException, InterruptedException {
        return visitor.send(
                "POST",
                "/api/dossiers",
                Product.resource("/upper-bank.json"),
                Map.of("Content-Type", "application/octet-stream"));
    }

    private static void restoreIsRefused(Product product, Path file, String why)
            throws IOException, InterruptedException {
        Product.Said said = product.etlo("restore", file.toString());
        assertThat(said.code()).isEqualTo(1);
        assertThat(said.text()).contains(why).contains("Nothing was changed");
    }

    @Test
    void what_is_restored_on_an_empty_machine_is_exported_byte_for_byte(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("whole.etlo");
        String dossier;
        String revisions;
        try (Product first = Product.fresh()) {
            first.start();
            Visitor visitor = first.practice(EMAIL, PASSWORD);
            take(visitor).ok();
            String plan = visitor.get("/api/plans/p1")
                    .ok()
                    .replaceFirst("\\{\"plan\":", "")
                    .replaceFirst(",\"revision\".*", "");
            visitor.save("p1", plan.replace("\"sharePercent\":40.0", "\"sharePercent\":45.0"), 1, "backup-save-1")
                    .ok();
            Product.Said said = first.etlo("backup", file.toString());
            assertThat(said.code()).as(said.text()).isZero();
            assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                    .isEqualTo("rw-------");
            // a second one does not overwrite the first
            assertThat(first.etlo("backup", file.toString()).text()).contains("exists already");
            dossier = visitor.get("/api/plans/p1/dossier").ok();
            revisions = visitor.get("/api/plans/p1/revisions").ok();
            assertThat(dossier).contains("45.0");
        }
        try (Product second = Product.fresh()) {
            Product.Said said = second.etlo("restore", file.toString());
            assertThat(said.code()).as(said.text()).isZero();
            second.start();
            Visitor visitor = second.signedIn(EMAIL, PASSWORD);
            assertThat(visitor.get("/api/plans/p1/dossier").ok()).isEqualTo(dossier);
            assertThat(visitor.get("/api/plans/p1/revisions").ok()).isEqualTo(revisions);

            // damaged files are refused, and everything stays, also what came after the backup
            visitor.put(
                            "/api/farms/later",
                            "{\"mine\":{\"id\":\"later\",\"name\":\"Later\",\"units\":\"us\",\"currency\":\"USD\"}}")
                    .ok();
            Path damaged = folder.resolve("damaged.etlo");
            Files.copy(file, damaged);
            try (RandomAccessFile bytes = new RandomAccessFile(damaged.toFile(), "rw")) {
                bytes.seek(bytes.length() / 2);
                int old = bytes.read();
                bytes.seek(bytes.length() / 2);
                bytes.write(old ^ 1);
            }
            restoreIsRefused(second, damaged, "damaged");
            Path cut = folder.resolve("cut.etlo");
            Files.write(cut, java.util.Arrays.copyOf(Files.readAllBytes(file), (int) Files.size(file) / 2));
            restoreIsRefused(second, cut, "no whole Etlo backup");
            Path other = folder.resolve("other.etlo");
            Files.writeString(other, "something else");
            restoreIsRefused(second, other, "no whole Etlo backup");
            restoreIsRefused(second, newer(file, folder), "newer Etlo");
            assertThat(visitor.get("/api/farms").ok()).contains("Later");

            // and the sound one replaces everything in the running product, which comes back by itself
            assertThat(second.etlo("restore", file.toString()).code()).isZero();
            assertThat(visitor.get("/api/farms").status())
                    .as("sessions are not in a backup")
                    .isEqualTo(401);
            Visitor again = second.signedIn(EMAIL, PASSWORD);
            assertThat(again.get("/api/farms").ok()).doesNotContain("Later");
            assertThat(again.get("/api/plans/p1/dossier").ok()).isEqualTo(dossier);
        }
    }

    /** The same backup as a later Etlo would have made it. */
    private static Path newer(Path file, Path folder) throws IOException, InterruptedException {
        Path made = folder.resolve("newer.etlo");
        String script =
                "mkdir n && tar -C n -xf " + file + " && sed -i 's/^schema .*/schema 9999/' n/manifest && tar -C n -cf "
                        + made + " manifest database.dump";
        Process p = new ProcessBuilder("sh", "-c", script)
                .directory(folder.toFile())
                .start();
        assertThat(p.waitFor()).isZero();
        return made;
    }

    @Test
    void the_command_tells_what_it_was_not_given() throws Exception {
        try (Product product = Product.fresh()) {
            assertThat(product.etlo("backup").code()).isEqualTo(64);
            assertThat(product.etlo("restore", "/nowhere/file.etlo").text()).contains("cannot read");
            assertThat(product.etlo("backup", "/tmp/never-made.etlo").text()).contains("nothing to back up");
            assertThat(product.etlo("status").code()).isEqualTo(3);
            assertThat(product.etlo("start", "--port", "99999").text()).contains("a number from 1 to 65535");
        }
    }
}
