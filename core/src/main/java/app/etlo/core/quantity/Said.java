package app.etlo.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Quantities inside a sentence that is written before it is known who reads it: {@link #of} puts a quantity into a text, {@link #in} writes
 * all of them in the units of a farm.
 */
public final class Said {
    private static final Pattern QUANTITY =
            Pattern.compile("\u27e6([^ \u27e7]+)(?: ([^ \u27e7]+))? (\\w+)(?:@(\\w+))?\u27e7");
    private static final int LEAST_DIGITS = 2;
    private static final double CLOSE = 0.06;

    private Said() {}

    /** A quantity in a sentence. */
    public static String of(double value, Unit unit) {
        return "\u27e6" + value + " " + unit.name() + "\u27e7";
    }

    /** Money that is not the farm's: a price of the library in its own currency. */
    public static String of(double value, Unit unit, String currency) {
        return "\u27e6" + value + " " + unit.name() + "@" + currency + "\u27e7";
    }

    /** Two ends of a span, such as 0 to 30 cm. */
    public static String span(double from, double to, Unit unit) {
        return "\u27e6" + from + " " + to + " " + unit.name() + "\u27e7";
    }

    /** The sentence as a farm reads it. */
    public static String in(String text, UnitSystem units, String currency) {
        if (text.indexOf('\u27e6') < 0) {
            return text;
        }
        return QUANTITY.matcher(text)
                .replaceAll(m -> Matcher.quoteReplacement(written(
                        m.group(1),
                        m.group(2),
                        Unit.valueOf(m.group(3)),
                        units,
                        m.group(4) == null ? currency : m.group(4))));
    }

    private static String written(String one, String other, Unit unit, UnitSystem units, String currency) {
        Unit shown = units.shown(unit);
        if (other == null) {
            return (number(one, unit, shown) + " " + shown.written().replace("\u00a4", currency)).strip();
        }
        String span = " to " + end(other, unit, shown);
        return (end(one, unit, shown) + span + " " + shown.written().replace("\u00a4", currency)).strip();
    }

    /** An end of a span: of lengths, which are rules of thumb, whole where that is close. */
    private static String end(String text, Unit unit, Unit shown) {
        double v = unit.to(shown, Double.parseDouble(text));
        double whole = Math.rint(v);
        return shown != unit && unit.dimension() == Dimension.LENGTH && whole > 0 && Math.abs(v - whole) <= CLOSE * v
                ? Shown.plain(whole, 0)
                : number(text, unit, shown);
    }

    /** As many figures as the number was written with, two at least: a rule of 2 cm is one of 0.79 in. */
    private static String number(String text, Unit unit, Unit shown) {
        double value = Double.parseDouble(text);
        BigDecimal written = BigDecimal.valueOf(value).stripTrailingZeros();
        if (shown == unit || value == 0 && unit.dimension() != Dimension.TEMPERATURE) {
            return Shown.plain(value, Math.max(0, written.scale()));
        }
        if (unit.dimension() == Dimension.TEMPERATURE) {
            return Shown.plain(unit.to(shown, value), 0);
        }
        int digits = Math.max(LEAST_DIGITS, written.precision());
        BigDecimal converted = BigDecimal.valueOf(unit.to(shown, value)).round(new MathContext(digits));
        return Shown.plain(
                converted.doubleValue(),
                Math.max(0, converted.stripTrailingZeros().scale()));
    }
}
