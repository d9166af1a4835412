package app.etlo.core.plan;

import app.etlo.core.plan.shown.Evaluation;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import java.lang.reflect.RecordComponent;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** Every figure that a written evaluation shows in any of its chapters, by id. */
public final class FiguresShown {
    private FiguresShown() {}

    public static Map<String, FigureView> of(Evaluation e) {
        Map<String, FigureView> found = new LinkedHashMap<>();
        walk(e, found);
        return found;
    }

    private static void walk(Object o, Map<String, FigureView> found) {
        if (o instanceof FigureView f) {
            FigureView other = found.putIfAbsent(f.id(), f);
            if (other != null && !other.equals(f)) {
                throw new AssertionError(f.id() + " is shown twice and differs: " + f + " and " + other);
            }
        } else if (o instanceof Optional<?> some) {
            some.ifPresent(x -> walk(x, found));
        } else if (o instanceof Collection<?> many) {
            many.forEach(x -> walk(x, found));
        } else if (o instanceof Map<?, ?> named) {
            named.values().forEach(x -> walk(x, found));
        } else if (o instanceof Record r) {
            for (RecordComponent c : r.getClass().getRecordComponents()) {
                try {
                    walk(c.getAccessor().invoke(r), found);
                } catch (ReflectiveOperationException e) {
                    throw new AssertionError(e);
                }
            }
        }
    }
}
