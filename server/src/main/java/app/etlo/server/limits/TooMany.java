package app.etlo.server.limits;

/** Asked too often; the next time is allowed after a while. */
public final class TooMany extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final long seconds;

    public TooMany(long seconds) {
        super("asked too often");
        this.seconds = seconds;
    }

    /** After how many seconds it is worth asking again; at least 1. */
    public long seconds() {
        return seconds;
    }
}
