package app.etlo.server.outbox;

import java.io.Serializable;

/** An email as Etlo kept it while it waited, before tasks were kept as JSON. */
record Letter(String to, String subject, String text) implements Serializable {
    private static final long serialVersionUID = 1L;

    Email email() {
        return new Email(to, subject, text);
    }
}
