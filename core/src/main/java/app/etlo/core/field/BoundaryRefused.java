package app.etlo.core.field;

/** A boundary that cannot be taken, with the place in the file as a JSON pointer and what would be right. */
public final class BoundaryRefused extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final String pointer;

    public BoundaryRefused(String pointer, String message) {
        super(message);
        this.pointer = pointer;
    }

    public String pointer() {
        return pointer;
    }
}
