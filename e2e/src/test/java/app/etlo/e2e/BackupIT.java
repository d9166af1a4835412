package app.etlo.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.testkit.Visitor;
import java.io.IOException;
import java.io.InputStream;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Map;
import java.util.Objects;
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

            ofPlanDocument1(second, folder);
        }
    }

    /** A backup that the product made while plans were documents of version 1: one plan, changed once. */
    private static void ofPlanDocument1(Product product, Path folder) throws IOException, InterruptedException {
        Path file = folder.resolve("plan-document-1.etlo");
        try (InputStream kept = Objects.requireNonNull(BackupIT.class.getResourceAsStream("/plan-document-1.etlo"))) {
            Files.copy(kept, file);
        }
        Product.Said said = product.etlo("restore", file.toString());
        assertThat(said.code()).as(said.text()).isZero();
        Visitor visitor = product.signedIn("before@etlo.example", "made up for the fixture");
        assertThat(visitor.get("/api/plans/p1/dossier").ok())
                .containsPattern("\"schemaVersion\" ?: ?2")
                .containsPattern("\"sharePercent\" ?: ?45.0");
        assertThat(visitor.get("/api/plans/p1/revisions").ok())
                .contains("cereal rye, share: 40 % → 45 %")
                .contains("\"number\":1");
        assertThat(visitor.send(
                                "POST",
                                "/api/plans/p1/undo",
                                "",
                                Map.of("If-Match", "2", "X-Request-Id", "of-plan-document-1"))
                        .ok())
                .contains("\"schemaVersion\":2")
                .contains("\"sharePercent\":40.0");
    }

    /**
     * A dump is a program. This one holds a table whose check, while its rows are loaded, steps back to whoever started the
     * load and has the database run a command of the operating system.
     */
    @Test
    void a_backup_made_to_run_a_command_runs_none_and_a_sound_one_goes_in_beside_a_second_server(@TempDir Path folder)
            throws Exception {
        try (Product product = Product.fresh()) {
            product.start();
            Visitor visitor = product.practice(EMAIL, PASSWORD);
            take(visitor).ok();
            Path ran = Path.of("/tmp", "etlo-it-ran-" + java.util.UUID.randomUUID());
            Path dump = folder.resolve("database.dump");
            Path nothing = folder.resolve("nothing");
            product.asSuperuser(nothing, "psql", "-q", "-d", "postgres", "-c", "create database evil");
            product.asSuperuser(
                    nothing,
                    "psql",
                    "-q",
                    "-v",
                    "ON_ERROR_STOP=1",
                    "-d",
                    "evil",
                    "-c",
                    "create table sink (line text)",
                    "-c",
                    "create function step(a int) returns boolean language plpgsql as $f$ begin"
                            + " if current_database() = 'evil' then return true; end if; reset role;"
                            + " copy public.sink from program 'touch " + ran + "'; return true; end $f$",
                    "-c",
                    "create table bait (a int check (public.step(a)))",
                    "-c",
                    "insert into bait values (1)");
            product.asSuperuser(dump, "pg_dump", "-Fc", "evil");
            Path file = folder.resolve("evil.etlo");
            Process made = new ProcessBuilder(
                            "sh",
                            "-c",
                            "{ echo 'format etlo-backup 1'; echo 'made 2026-01-01T00:00:00Z'; echo 'schema 1';"
                                    + " echo \"sha256 $(sha256sum <database.dump | cut -d' ' -f1)\"; } >manifest"
                                    + " && tar -cf " + file + " manifest database.dump")
                    .directory(folder.toFile())
                    .start();
            assertThat(made.waitFor()).isZero();
            Product.Said said = product.etlo("restore", file.toString());
            assertThat(ran).doesNotExist();
            assertThat(said.code()).as(said.text()).isEqualTo(1);
            assertThat(said.text()).contains("What was there is as it was");
            assertThat(visitor.get("/api/plans/p1").status()).isEqualTo(200);
            besideASecondServer(product, folder.resolve("whole.etlo"));
            assertThat(product.signedIn(EMAIL, PASSWORD).get("/api/plans/p1").status())
                    .as("what was stopped runs again")
                    .isEqualTo(200);
        }
    }

    /** Restores while another server comes back to the database as fast as it can. */
    private static void besideASecondServer(Product product, Path file) throws Exception {
        assertThat(product.etlo("backup", file.toString()).code()).isZero();
        int otherPort = Product.freePort();
        Process second = product.anotherServer(otherPort);
        try {
            Visitor there = product.visitorAt("http://127.0.0.1:" + otherPort);
            Thread busy = new Thread(() -> {
                while (!Thread.currentThread().isInterrupted()) {
                    try {
                        there.get("/api/session");
                    } catch (IOException | InterruptedException e) {
                        Thread.currentThread().interrupt();
                    }
                }
            });
            busy.start();
            Product.Said said = product.etlo("restore", file.toString());
            busy.interrupt();
            busy.join();
            assertThat(said.code()).as(said.text()).isZero();
        } finally {
            second.destroyForcibly();
            second.waitFor();
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
