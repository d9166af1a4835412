package app.etlo.server.outbox;

/** Takes emails to where people read them. */
interface Carrier {
    /**
     * @throws NotDelivered when it could not; it is tried again later
     */
    void deliver(Email email);

    /** Says nothing of the email: this is written to the log. */
    final class NotDelivered extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NotDelivered(Exception cause) {
            super("an email could not be delivered: " + cause.getClass().getSimpleName());
        }
    }
}
