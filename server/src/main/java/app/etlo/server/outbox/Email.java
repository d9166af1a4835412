package app.etlo.server.outbox;

/** An email to one address. */
public record Email(String to, String subject, String text) {}
