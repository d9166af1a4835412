package app.etlo.server.outside;

/** A service gave no answer that can be used; the message ends the sentence that begins with the service. */
class NoAnswer extends RuntimeException {
    private static final long serialVersionUID = 1L;

    NoAnswer(String what) {
        super(what);
    }
}
