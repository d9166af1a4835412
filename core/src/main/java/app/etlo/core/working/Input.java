package app.etlo.core.working;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import java.util.Optional;

/**
 * One number put into a formula.
 *
 * @param symbol the name by which the formula knows it
 * @param label the trade's word for it
 * @param value in {@code unit}
 * @param from where it came from in words: the lot, the table and its source, who typed it
 * @param figureId the figure it is, when it is itself a result with a working
 */
public record Input(
        String symbol, String label, Band value, Unit unit, Origin origin, String from, Optional<String> figureId) {

    public static Input of(String symbol, String label, double value, Unit unit, Origin origin, String from) {
        return new Input(symbol, label, Band.exactly(value), unit, origin, from, Optional.empty());
    }

    public static Input banded(String symbol, String label, Band value, Unit unit, Origin origin, String from) {
        return new Input(symbol, label, value, unit, origin, from, Optional.empty());
    }

    /** A figure put into the next formula, in the unit that formula wants. */
    public static Input figure(String symbol, Figure figure, Unit unit) {
        return new Input(
                symbol,
                figure.label(),
                figure.value().map(v -> figure.unit().to(unit, v)),
                unit,
                figure.origin(),
                "computed",
                Optional.of(figure.id()));
    }

    public static Input figure(String symbol, Figure figure) {
        return figure(symbol, figure, figure.unit());
    }
}
