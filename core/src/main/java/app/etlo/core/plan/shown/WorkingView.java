package app.etlo.core.plan.shown;

import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import app.etlo.core.working.Working;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The working of one figure: evaluating {@code expression} over the texts of the inputs gives {@code resultText}.
 *
 * @param result in {@code unit}: the farm's, or where the rule cannot be written in it, that in which it is published
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
     * @param also the number in the farm's units, where the rule is shown in those it was published in
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
            Optional<String> also,
            Origin origin,
            String from,
            Optional<String> figureId) {
        static InputView of(Input i, ReadableWorking.Line line, Evaluated e) {
            return new InputView(
                    i.symbol(),
                    e.said(i.label()),
                    i.unit().to(line.unit(), i.value().middle()),
                    i.unit().to(line.unit(), i.value().low()),
                    i.unit().to(line.unit(), i.value().high()),
                    line.text(),
                    WorkingView.symbol(line.unit(), e.context().farm().currency(), line.text()),
                    line.also(),
                    i.origin(),
                    e.said(i.from()),
                    i.figureId());
        }
    }

    /** The working of a figure of an evaluated plan. */
    public static WorkingView of(Figure figure, Evaluated evaluated) {
        return of(figure, evaluated, FigureTexts.of(evaluated));
    }

    /** The same, for one of many figures. */
    public static WorkingView of(Figure figure, Evaluated evaluated, FigureTexts texts) {
        String currency = evaluated.context().farm().currency();
        Working w = figure.working();
        ReadableWorking r = ReadableWorking.of(w, figure.id(), evaluated.units(), texts);
        return new WorkingView(
                EvaluationWriter.figure(figure, evaluated.units(), currency, texts),
                evaluated.said(w.name()),
                r.expression(),
                IntStream.range(0, w.inputs().size())
                        .mapToObj(
                                i -> InputView.of(w.inputs().get(i), r.inputs().get(i), evaluated))
                        .toList(),
                w.unit().to(r.resultUnit(), w.result().middle()),
                r.resultText(),
                symbol(r.resultUnit(), currency, r.resultText()),
                evaluated.said(w.source().text()),
                w.source().status(),
                evaluated.said(w.remark()));
    }

    /** The unit as it stands behind a number: one bag, two bags. */
    static String symbol(Unit unit, String currency, String number) {
        return switch (unit) {
            case DATE -> "";
            case BAGS -> number.equals("1") ? "bag" : unit.written();
            default -> unit.written().replace("¤", currency);
        };
    }
}
