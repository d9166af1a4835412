package app.etlo.core.plan.shown;

import app.etlo.core.quantity.Dimension;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Working;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A working as a farm reads it: in the farm's units, with so many digits that whoever computes the expression from what is shown gets
 * the result that is shown.
 *
 * <p>A rule is written for one set of units. Where its numbers may stand in the farm's units as they are, or times one constant, it is
 * shown so; else it stays in the units it was published in, and each number is shown in the farm's units beside.
 *
 * @param inputs texts of the inputs, in their order
 * @param resultText in {@code resultUnit}
 */
public record ReadableWorking(String expression, List<Line> inputs, String resultText, Unit resultUnit) {
    private static final int MOST_MORE_DIGITS = 12;
    private static final double SAME = 1e-9;
    /** Places at which a rule is tried: if it holds there in other units, it holds for its kind of arithmetic. */
    private static final double[][] TRIES = {{1, 1, 1}, {1.07, 0.94, 1.21}, {0.83, 1.13, 1.02}};

    /** Arithmetic in binary and by hand may differ so much. */
    private static final double CLEAR = 1e-11;

    private static final MathContext CONSTANT = new MathContext(9);

    /**
     * @param also the number in the farm's units, where {@code text} is in others
     */
    record Line(String text, Unit unit, Optional<String> also) {}

    static ReadableWorking of(Working w, String figureId, UnitSystem units, FigureTexts texts) {
        Optional<String> expression = inFarmUnits(w, units);
        UnitSystem read = units;
        boolean farm = expression.isPresent();
        String shown = expression.orElse(w.expression());
        Unit result = farm ? read.shown(w.unit()) : w.unit();
        List<Unit> unitsOf = w.inputs().stream()
                .map(i -> farm ? read.shown(i.unit()) : i.unit())
                .toList();
        double value = w.unit().to(result, w.result().middle());
        boolean ownUnit = read.shown(w.unit()) == result;
        String target = Optional.of(figureId)
                .filter(id -> ownUnit)
                .flatMap(texts::settled)
                .orElseGet(() -> Shown.text(value, result));
        List<String> written = digits(w, shown, unitsOf, result, target, texts, read);
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < written.size(); i++) {
            Input in = w.inputs().get(i);
            Unit other = read.shown(in.unit());
            boolean both = other != unitsOf.get(i);
            lines.add(new Line(
                    written.get(i),
                    unitsOf.get(i),
                    both
                            ? Optional.of(
                                    Shown.text(in.unit().to(other, in.value().middle()), other) + " " + other.written())
                            : Optional.empty()));
        }
        return new ReadableWorking(shown, List.copyOf(lines), target, result);
    }

    /** The expression over numbers in the farm's units; empty where there is none of the same shape. */
    private static Optional<String> inFarmUnits(Working w, UnitSystem units) {
        boolean changes = w.inputs().stream().anyMatch(i -> units.shown(i.unit()) != i.unit())
                || units.shown(w.unit()) != w.unit();
        if (!changes) {
            return Optional.of(w.expression());
        }
        Optional<Double> factor = Optional.empty();
        for (double[] at : TRIES) {
            Map<String, Double> own = new HashMap<>();
            Map<String, Double> farm = new HashMap<>();
            for (int i = 0; i < w.inputs().size(); i++) {
                Input in = w.inputs().get(i);
                double v = in.value().middle() * at[i % at.length];
                own.put(in.symbol(), v);
                farm.put(in.symbol(), in.unit().to(units.shown(in.unit()), v));
            }
            try {
                double wanted = w.unit().to(units.shown(w.unit()), Formula.evaluate(w.expression(), own));
                double got = Formula.evaluate(w.expression(), farm);
                if (Math.abs(wanted) < SAME && Math.abs(got) < SAME) {
                    continue;
                }
                double f = wanted / got;
                if (!Double.isFinite(f) || factor.isPresent() && Math.abs(f / factor.get() - 1) > SAME) {
                    return Optional.empty();
                }
                factor = Optional.of(f);
            } catch (ArithmeticException e) {
                return Optional.empty();
            }
        }
        double f = factor.orElse(1.0);
        if (Math.abs(f - 1) < SAME) {
            return Optional.of(w.expression());
        }
        return Optional.of("(" + w.expression() + ") * "
                + BigDecimal.valueOf(f).round(CONSTANT).stripTrailingZeros().toPlainString());
    }

    /** As few digits as give the result that is shown. */
    private static List<String> digits(
            Working w,
            String expression,
            List<Unit> units,
            Unit result,
            String target,
            FigureTexts texts,
            UnitSystem read) {
        List<String> usual = new ArrayList<>();
        List<Double> values = new ArrayList<>();
        for (int i = 0; i < w.inputs().size(); i++) {
            Input in = w.inputs().get(i);
            Unit unit = units.get(i);
            double v = in.unit().to(unit, in.value().middle());
            values.add(v);
            boolean asShown = read.shown(in.unit()) == unit;
            usual.add(
                    in.figureId().filter(id -> asShown).flatMap(texts::settled).orElseGet(() -> Shown.text(v, unit)));
        }
        double clear = CLEAR;
        List<String> found = refined(w, expression, usual, units, values, target, clear);
        if (!gives(w, expression, found, units, values, target, clear)) {
            // the result lies on the edge itself
            clear = 0;
            found = refined(w, expression, usual, units, values, target, clear);
        }
        for (int i = 0; i < found.size(); i++) {
            String fine = found.get(i);
            for (int fewer = 0; fewer <= decimals(fine) - decimals(usual.get(i)); fewer++) {
                String coarse = fewer == 0 ? usual.get(i) : finer(values.get(i), decimals(usual.get(i)) + fewer);
                found.set(i, coarse);
                if (gives(w, expression, found, units, values, target, clear)) {
                    break;
                }
                found.set(i, fine);
            }
        }
        return found;
    }

    /** All inputs with as many digits more as it takes. */
    private static List<String> refined(
            Working w,
            String expression,
            List<String> usual,
            List<Unit> units,
            List<Double> values,
            String target,
            double clear) {
        List<String> found = new ArrayList<>(usual);
        for (int more = 1;
                more <= MOST_MORE_DIGITS && !gives(w, expression, found, units, values, target, clear);
                more++) {
            for (int i = 0; i < found.size(); i++) {
                if (units.get(i).dimension() != Dimension.DATE) {
                    found.set(i, finer(values.get(i), decimals(usual.get(i)) + more));
                }
            }
        }
        return found;
    }

    /**
     * Whether the texts give the result as it is shown.
     *
     * @param clear how far, in proportion, the result must lie from where it would be rounded the other way
     */
    private static boolean gives(
            Working w,
            String expression,
            List<String> texts,
            List<Unit> units,
            List<Double> values,
            String target,
            double clear) {
        Map<String, Double> symbols = new HashMap<>();
        for (int i = 0; i < texts.size(); i++) {
            boolean date = units.get(i).dimension() == Dimension.DATE;
            symbols.put(w.inputs().get(i).symbol(), date ? (double) Math.round(values.get(i)) : number(texts.get(i)));
        }
        try {
            double v = Formula.evaluate(expression, symbols);
            boolean date = w.unit().dimension() == Dimension.DATE;
            return date
                    ? Shown.text(v, w.unit()).equals(target)
                    : Shown.plain(v * (1 - clear), decimals(target)).equals(target)
                            && Shown.plain(v * (1 + clear), decimals(target)).equals(target);
        } catch (ArithmeticException e) {
            return false;
        }
    }

    private static String finer(double value, int decimals) {
        String text = Shown.plain(value, decimals);
        return text.indexOf('.') < 0 ? text : text.replaceFirst("0+$", "").replaceFirst("\\.$", "");
    }

    private static int decimals(String text) {
        int point = text.indexOf('.');
        return point < 0 ? 0 : text.length() - point - 1;
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace("\u202f", "").replace('\u2212', '-'));
    }
}
