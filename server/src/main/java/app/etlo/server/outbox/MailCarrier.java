package app.etlo.server.outbox;

import org.springframework.mail.MailException;
import org.springframework.mail.SimpleMailMessage;
import org.springframework.mail.javamail.JavaMailSender;

/** Hands emails to a mail server. */
final class MailCarrier implements Carrier {
    private final JavaMailSender sender;
    private final String from;

    MailCarrier(JavaMailSender sender, String from) {
        this.sender = sender;
        this.from = from;
    }

    @Override
    public void deliver(Email email) {
        SimpleMailMessage mail = new SimpleMailMessage();
        mail.setFrom(from);
        mail.setTo(email.to());
        mail.setSubject(email.subject());
        mail.setText(email.text());
        try {
            sender.send(mail);
        } catch (MailException e) {
            throw new NotDelivered(e);
        }
    }
}
