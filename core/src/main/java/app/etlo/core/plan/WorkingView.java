package app.etlo.core.plan;

import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import app.etlo.core.working.Working;
import java.util.List;
import java.util.Optional;

/**
 * The working of one figure: evaluating {@code expression} over the inputs' values gives {@code result}.
 *
 * @param result in {@code unit}, the unit the rule is published in; the figure itself may be read in another
 */
public record WorkingView(
        Evaluation.FigureView figure,
        String name,
        String expression,
        List<InputView> inputs,
        double result,
        String resultText,
        String unit,
        String source,
        Source.Status status,
        String remark) {

    /**
     * @param from where the number came from
     * @param figureId set when the input has a working of its own
     */
    public record InputView(
            String symbol,
            String label,
            double value,
            double low,
            double high,
            String text,
            String unit,
            Origin origin,
            String from,
            Optional<String> figureId) {
        static InputView of(Input i, String currency) {
            return new InputView(
                    i.symbol(),
                    i.label(),
                    i.value().middle(),
                    i.value().low(),
                    i.value().high(),
                    Shown.text(i.value().middle(), i.unit()),
                    WorkingView.symbol(i.unit(), currency),
                    i.origin(),
                    i.from(),
                    i.figureId());
        }
    }

    /** The working of a figure of an evaluated plan. */
    public static WorkingView of(Figure figure, Evaluated evaluated) {
        String currency = evaluated.context().farm().currency();
        Working w = figure.working();
        return new WorkingView(
                EvaluationWriter.figure(figure, evaluated.units(), currency),
                w.name(),
                w.expression(),
                w.inputs().stream().map(i -> InputView.of(i, currency)).toList(),
                w.result().middle(),
                Shown.text(w.result().middle(), w.unit()),
                symbol(w.unit(), currency),
                w.source().text(),
                w.source().status(),
                w.remark());
    }

    static String symbol(Unit unit, String currency) {
        return unit == Unit.DATE ? "" : unit.symbol().replace("¤", currency);
    }
}
