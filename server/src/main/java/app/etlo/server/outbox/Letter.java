package app.etlo.server.outbox;

import java.io.Serializable;

/** A letter to one address. */
public record Letter(String to, String subject, String text) implements Serializable {
    private static final long serialVersionUID = 1L;
}
