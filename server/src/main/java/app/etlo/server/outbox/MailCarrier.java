package app.etlo.server.outbox;

import org.springframework.mail.MailException;
import org.springframework.mail.SimpleMailMessage;
import org.springframework.mail.javamail.JavaMailSender;

/** Hands letters to a mail server. */
final class MailCarrier implements Carrier {
    private final JavaMailSender sender;
    private final String from;

    MailCarrier(JavaMailSender sender, String from) {
        this.sender = sender;
        this.from = from;
    }

    @Override
    public void deliver(Letter letter) {
        SimpleMailMessage mail = new SimpleMailMessage();
        mail.setFrom(from);
        mail.setTo(letter.to());
        mail.setSubject(letter.subject());
        mail.setText(letter.text());
        try {
            sender.send(mail);
        } catch (MailException e) {
            throw new NotDelivered(e);
        }
    }
}
