package app.etlo.core.knowledge;

/** A row of a knowledge table that cannot be taken, with its place. */
public final class BadRow extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public BadRow(String file, long line, String column, String problem) {
        super(file + " line " + line + ", column " + column + ": " + problem);
    }
}
