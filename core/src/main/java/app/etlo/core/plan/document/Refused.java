package app.etlo.core.plan.document;

import java.util.List;

/** A document that cannot be taken, with every problem found at its place. */
public final class Refused extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final transient List<Problem> problems;

    public Refused(List<Problem> problems) {
        super(
                problems.isEmpty()
                        ? "refused"
                        : problems.get(0).pointer() + ": " + problems.get(0).message());
        this.problems = List.copyOf(problems);
    }

    public Refused(String pointer, String message) {
        this(List.of(new Problem(pointer, message)));
    }

    public List<Problem> problems() {
        return problems;
    }
}
