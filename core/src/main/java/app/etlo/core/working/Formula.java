package app.etlo.core.working;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import com.ezylang.evalex.EvaluationException;
import com.ezylang.evalex.Expression;
import com.ezylang.evalex.config.ExpressionConfiguration;
import com.ezylang.evalex.data.EvaluationValue;
import com.ezylang.evalex.functions.AbstractFunction;
import com.ezylang.evalex.functions.FunctionParameter;
import com.ezylang.evalex.functions.basic.CeilingFunction;
import com.ezylang.evalex.parser.ParseException;
import com.ezylang.evalex.parser.Token;
import java.math.MathContext;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * A published rule as arithmetic that both computes the figure and is shown as its working, so that the two cannot
 * drift apart.
 *
 * <p>Where up to four inputs carry bands, the result's band spans every combination of their lows and highs: wider than the truth
 * where doubts are independent, never narrower for rules that rise or fall steadily in each input. With more of them their doubts
 * are added in quadrature.
 */
public final class Formula {
    private static final ExpressionConfiguration CONFIGURATION = ExpressionConfiguration.builder()
            .mathContext(MathContext.DECIMAL64)
            .build()
            .withAdditionalFunctions(Map.entry("EXP", new Exp()), Map.entry("CEIL", new CeilingFunction()));
    /** With more banded inputs than this their corners are too many, and they are taken to vary apart from each other. */
    private static final int MOST_CORNERS_OF = 4;

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
        this.compiled = compiled(expression);
    }

    /** The expression as it is computed and shown. */
    public String expression() {
        return expression;
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

    private static Expression compiled(String expression) {
        Expression e = new Expression(expression, CONFIGURATION);
        try {
            e.validate();
        } catch (ParseException bad) {
            throw new IllegalArgumentException(expression + " cannot be read", bad);
        }
        return e;
    }

    /**
     * The value of an expression as {@link Working} holds it.
     *
     * @throws ArithmeticException when it has no finite value
     */
    public static double evaluate(String expression, Map<String, Double> symbols) {
        return value(compiled(expression), symbols);
    }

    private static double value(Expression expression, Map<String, Double> symbols) {
        try {
            Expression e = expression.copy();
            symbols.forEach(e::with);
            return e.evaluate().getNumberValue().doubleValue();
        } catch (EvaluationException | ParseException | NumberFormatException bad) {
            ArithmeticException none = new ArithmeticException("no finite result");
            none.initCause(bad);
            throw none;
        }
    }

    /**
     * The rule with the middles of its inputs, between what their bands make of it: every combination of lows and highs, or, where
     * the bands are many, the root of the squares of what each does alone.
     */
    private Band evaluate(List<Input> inputs) {
        Map<String, Double> middles = new LinkedHashMap<>();
        inputs.forEach(i -> middles.put(i.symbol(), i.value().middle()));
        if (!middles.keySet().containsAll(symbols)) {
            throw new IllegalArgumentException(name + " needs " + symbols + ", was given " + middles.keySet());
        }
        List<Input> banded = inputs.stream().filter(i -> !i.value().isExact()).toList();
        double middle = value(compiled, middles);
        return banded.size() > MOST_CORNERS_OF ? apart(middles, banded, middle) : corners(middles, banded, middle);
    }

    private Band corners(Map<String, Double> middles, List<Input> banded, double middle) {
        double low = middle;
        double high = middle;
        for (int corner = 0; corner < 1 << banded.size() && !banded.isEmpty(); corner++) {
            Map<String, Double> at = new LinkedHashMap<>(middles);
            for (int k = 0; k < banded.size(); k++) {
                Band b = banded.get(k).value();
                at.put(banded.get(k).symbol(), (corner >> k & 1) == 0 ? b.low() : b.high());
            }
            double v = value(compiled, at);
            low = Math.min(low, v);
            high = Math.max(high, v);
        }
        return new Band(low, middle, high);
    }

    private Band apart(Map<String, Double> middles, List<Input> banded, double middle) {
        double below = 0;
        double above = 0;
        for (Input i : banded) {
            Map<String, Double> at = new LinkedHashMap<>(middles);
            at.put(i.symbol(), i.value().low());
            double one = value(compiled, at) - middle;
            at.put(i.symbol(), i.value().high());
            double other = value(compiled, at) - middle;
            double down = Math.min(0, Math.min(one, other));
            double up = Math.max(0, Math.max(one, other));
            below += down * down;
            above += up * up;
        }
        return new Band(middle - Math.sqrt(below), middle, middle + Math.sqrt(above));
    }

    /** The exponential function, which the library of expressions lacks. */
    @FunctionParameter(name = "value")
    private static final class Exp extends AbstractFunction {
        @Override
        public EvaluationValue evaluate(Expression expression, Token token, EvaluationValue... values) {
            return expression.convertValue(Math.exp(values[0].getNumberValue().doubleValue()));
        }
    }
}
