package app.etlo.core.knowledge;

/** A plant for which the growth tables hold no kind: it cannot be simulated. */
public final class MissingPlantKind extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    MissingPlantKind(String plant) {
        super("'" + plant + "' has no kind in plant-kind-of.csv, so its growth cannot be simulated");
    }
}
