package app.etlo.core.working;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A result of a step: a record of its trade that owns figures. */
public interface Figured {
    /** Every figure in it, in the order in which they are worked out. */
    List<Figure> figures();

    /** Those of some figures that are there, in order. */
    @SafeVarargs
    static List<Figure> present(Optional<Figure>... figures) {
        return Stream.of(figures).flatMap(Optional::stream).toList();
    }
}
