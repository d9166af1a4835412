package app.etlo.core.knowledge;

/** A row of a knowledge table that cannot be taken, with its place. */
public final class BadRow extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final String problem;

    public BadRow(String file, long line, String column, String problem) {
        super(file + " line " + line + ", column " + column + ": " + problem);
        this.problem = column + ": " + problem;
    }

    /** What is wrong, without the place in the file. */
    public String problem() {
        return problem;
    }
}
