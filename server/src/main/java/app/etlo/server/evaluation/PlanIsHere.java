package app.etlo.server.evaluation;

import java.util.List;

/** The plan of a file is in the practice already, and otherwise: somebody has to choose. */
final class PlanIsHere extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final transient List<String> differences;

    PlanIsHere(List<String> differences) {
        super("This plan is here already, and differs from the file.");
        this.differences = List.copyOf(differences);
    }

    /** From what is here to what the file holds, in words. */
    List<String> differences() {
        return differences;
    }
}
