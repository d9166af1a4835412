package app.etlo.core.working;

import java.util.Map;
import net.objecthunter.exp4j.ExpressionBuilder;
import net.objecthunter.exp4j.function.Function;

/** Workings evaluated by exp4j, which the product itself does not use; "^" and most functions are written alike in both. */
public final class OtherEvaluator {
    private static final Function MIN = new Function("min", 2) {
        @Override
        public double apply(double... a) {
            return Math.min(a[0], a[1]);
        }
    };
    private static final Function MAX = new Function("max", 2) {
        @Override
        public double apply(double... a) {
            return Math.max(a[0], a[1]);
        }
    };

    private OtherEvaluator() {}

    public static double value(String expression, Map<String, Double> symbols) {
        return new ExpressionBuilder(expression)
                .functions(MIN, MAX)
                .variables(symbols.keySet())
                .build()
                .setVariables(symbols)
                .evaluate();
    }
}
