package app.etlo.server.outbox;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.mail.javamail.JavaMailSenderImpl;

/** Emails on their way: printed by the stand-in, or by mail (RFC 5321), to servers that answer, are away, or hang. */
class DeliveryTest {
    private static final Email EMAIL = new Email("grower@example.org", "A new password", "Open this link.");

    private static Carrier mail(int port) {
        JavaMailSenderImpl sender = new JavaMailSenderImpl();
        sender.setHost("127.0.0.1");
        sender.setPort(port);
        sender.getJavaMailProperties().put("mail.smtp.connectiontimeout", "300");
        sender.getJavaMailProperties().put("mail.smtp.timeout", "300");
        return new MailCarrier(sender, "etlo@example.org");
    }

    @Test
    void the_stand_in_prints_each_email_where_only_its_owner_reads(@TempDir Path folder) throws IOException {
        Path file = folder.resolve("outbox.txt");
        Carrier printed = new PrintedCarrier(file);
        printed.deliver(EMAIL);
        printed.deliver(new Email("other@example.org", "Again", "Text"));
        assertThat(Files.readString(file))
                .contains("To: grower@example.org\nSubject: A new password\n\nOpen this link.")
                .contains("To: other@example.org");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-------");
    }

    @Test
    void a_folder_that_cannot_be_written_to_is_an_email_not_delivered() {
        Carrier printed = new PrintedCarrier(Path.of("/proc/none/outbox.txt"));
        assertThatThrownBy(() -> printed.deliver(EMAIL)).isInstanceOf(Carrier.NotDelivered.class);
    }

    @Test
    void a_mail_server_gets_it_whole() throws Exception {
        GreenMail server = new GreenMail(new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
        server.start();
        try {
            mail(server.getSmtp().getPort()).deliver(EMAIL);
            assertThat(server.waitForIncomingEmail(5000, 1)).isTrue();
            var received = server.getReceivedMessages()[0];
            assertThat(received.getSubject()).isEqualTo("A new password");
            assertThat(received.getAllRecipients()[0]).hasToString("grower@example.org");
            assertThat(received.getContent().toString()).contains("Open this link.");
        } finally {
            server.stop();
        }
    }

    @Test
    void one_that_is_away_or_never_answers_is_given_up_without_a_word_of_the_email() throws IOException {
        int away;
        try (ServerSocket closed = new ServerSocket(0)) {
            away = closed.getLocalPort();
        }
        assertThatThrownBy(() -> mail(away).deliver(EMAIL)).isInstanceOf(Carrier.NotDelivered.class);
        try (ServerSocket silent = new ServerSocket(0, 5, InetAddress.getLoopbackAddress())) {
            assertThatThrownBy(() -> mail(silent.getLocalPort()).deliver(EMAIL))
                    .isInstanceOf(Carrier.NotDelivered.class)
                    .hasMessageNotContaining("grower")
                    .hasNoCause();
        }
    }
}
