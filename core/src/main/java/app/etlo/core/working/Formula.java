package app.etlo.core.working;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.objecthunter.exp4j.Expression;
import net.objecthunter.exp4j.ExpressionBuilder;
import net.objecthunter.exp4j.function.Function;

/**
 * A published rule as arithmetic that both computes the figure and is shown as its working, so that the two cannot
 * drift apart.
 *
 * <p>Where inputs carry bands, the result's band spans every combination of their lows and highs: wider than the truth
 * where doubts are independent, never narrower for rules that rise or fall steadily in each input.
 */
public final class Formula {
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
    private static final int MOST_BANDED = 8;

    private final String name;
    private final String expression;
    private final Source source;
    private final String remark;
    private final List<String> symbols;
    private final Expression compiled;

    private Formula(String name, String expression, Source source, String remark, List<String> symbols) {
        this.name = name;
        this.expression = expression;
        this.source = source;
        this.remark = remark;
        this.symbols = List.copyOf(symbols);
        this.compiled = new ExpressionBuilder(expression)
                .functions(MIN, MAX)
                .variables(symbols.toArray(String[]::new))
                .build();
    }

    /**
     * A rule of the given name.
     *
     * @param symbols every symbol the expression uses
     * @throws IllegalArgumentException when the expression cannot be read
     */
    public static Formula of(String name, String expression, Source source, String... symbols) {
        return new Formula(name, expression, source, "", Arrays.asList(symbols));
    }

    /** The sum of {@code n} inputs, named s1, s2 and so on. */
    public static Formula sum(String name, int n) {
        List<String> symbols =
                IntStream.rangeClosed(1, n).mapToObj(i -> "s" + i).collect(Collectors.toList());
        String expression = n == 0 ? "0" : String.join(" + ", symbols);
        return new Formula(name, expression, Source.identity("a sum"), "", symbols);
    }

    /** The same rule with a sentence on its limits, shown under the working. */
    public Formula remarking(String remark) {
        return new Formula(name, expression, source, remark, symbols);
    }

    /** Evaluates the rule and keeps how it was done. */
    public Figure figure(String id, String label, Unit unit, Input... inputs) {
        return figure(id, label, unit, Arrays.asList(inputs));
    }

    public Figure figure(String id, String label, Unit unit, List<Input> inputs) {
        Band result = evaluate(inputs);
        Origin origin = Origin.weakest(inputs.stream().map(Input::origin).toList());
        Working working = new Working(name, expression, inputs, result, unit, source, remark);
        return new Figure(id, label, result, unit, origin, working);
    }

    /**
     * The value of an expression as {@link Working} holds it.
     *
     * @throws ArithmeticException when it has no finite value
     */
    public static double evaluate(String expression, Map<String, Double> symbols) {
        double v = new ExpressionBuilder(expression)
                .functions(MIN, MAX)
                .variables(symbols.keySet())
                .build()
                .setVariables(symbols)
                .evaluate();
        if (!Double.isFinite(v)) {
            throw new ArithmeticException("no finite result");
        }
        return v;
    }

    private Band evaluate(List<Input> inputs) {
        List<Input> banded = inputs.stream().filter(i -> !i.value().isExact()).toList();
        if (banded.size() > MOST_BANDED) {
            throw new IllegalArgumentException("too many banded inputs in " + name);
        }
        double middle = at(inputs, List.of(), 0);
        double low = middle;
        double high = middle;
        for (int corner = 0; corner < 1 << banded.size() && !banded.isEmpty(); corner++) {
            double v = at(inputs, banded, corner);
            low = Math.min(low, v);
            high = Math.max(high, v);
        }
        return new Band(low, middle, high);
    }

    private double at(List<Input> inputs, List<Input> banded, int corner) {
        Expression e = new Expression(compiled);
        List<String> given = new ArrayList<>();
        for (Input i : inputs) {
            int k = banded.indexOf(i);
            double v = k < 0
                    ? i.value().middle()
                    : (corner >> k & 1) == 0 ? i.value().low() : i.value().high();
            e.setVariable(i.symbol(), v);
            given.add(i.symbol());
        }
        if (!given.containsAll(symbols)) {
            throw new IllegalArgumentException(name + " needs " + symbols + ", was given " + given);
        }
        double v = symbols.isEmpty() && inputs.isEmpty() ? new Expression(compiled).evaluate() : e.evaluate();
        if (!Double.isFinite(v)) {
            throw new ArithmeticException(name + " has no finite result");
        }
        return v;
    }
}
