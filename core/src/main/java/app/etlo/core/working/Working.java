package app.etlo.core.working;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import java.util.List;

/**
 * How a figure was reached, as data: the expression can be evaluated again from the inputs and gives the result.
 *
 * @param name the rule's name in the trade's words
 * @param expression arithmetic over the inputs' symbols with + - * / ^, sqrt, ceil, min and max
 */
public record Working(
        String name, String expression, List<Input> inputs, Band result, Unit unit, Source source, String remark) {
    public Working {
        inputs = List.copyOf(inputs);
    }
}
