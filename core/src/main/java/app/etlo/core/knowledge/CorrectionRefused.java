package app.etlo.core.knowledge;

/** A correction that cannot stand, with its place and what would be right. */
public final class CorrectionRefused extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final String pointer;

    public CorrectionRefused(String pointer, String message) {
        super(message);
        this.pointer = pointer;
    }

    public CorrectionRefused(String pointer, String message, Throwable cause) {
        super(message, cause);
        this.pointer = pointer;
    }

    public String pointer() {
        return pointer;
    }
}
