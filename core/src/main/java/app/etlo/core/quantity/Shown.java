package app.etlo.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/**
 * How a number is written: as finely as its kind is measured, else about three significant figures; thin groups of thousands, a
 * true minus sign, dates without doubt (12 May 2027). Rounding is for reading only; nothing is computed from it.
 */
public final class Shown {
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.UK);

    private static final double WIDE_PERCENT = 2;

    private Shown() {}

    /** Digits that arithmetic keeps. */
    private static final MathContext ARITHMETIC = new MathContext(13, RoundingMode.HALF_UP);

    /** The text of a value in its unit, without the unit itself. */
    public static String text(double value, Unit unit) {
        if (unit == Unit.DATE) {
            return date(LocalDate.ofEpochDay(Math.round(value)));
        }
        double size = Math.abs(value);
        if (size == 0) {
            return "0";
        }
        return switch (unit.dimension()) {
            case COUNT, WARMTH -> plain(value, 0);
            case TIME -> size < 1 ? significant(value) : plain(value, size < 10 && value != Math.rint(value) ? 1 : 0);
            case TEMPERATURE -> plain(value, 1);
            case MONEY -> plain(value, size < 1000 ? 2 : 0);
            case MONEY_PER_AREA, MONEY_PER_MASS -> plain(value, size < 100 ? 2 : size < 1000 ? 1 : 0);
            case MASS_PER_AREA, VOLUME_PER_AREA -> plain(value, size < 1 ? 2 : size < 20 ? 1 : 0);
            case COUNT_PER_AREA -> plain(value, size < 20 ? 1 : 0);
            case RATING -> plain(value, size < 10 ? 1 : 0);
            case SHARE -> unit == Unit.PERCENT ? plain(value, size < 1 ? 2 : 1) : significant(value);
            default -> significant(value);
        };
    }

    /** The text of a value whose band is so wide: a percent that is not known to a point or two carries no tenths. */
    public static String text(double value, Unit unit, double spread) {
        return unit == Unit.PERCENT && spread > WIDE_PERCENT ? plain(value, 0) : text(value, unit);
    }

    /** Three significant figures below a thousand, whole numbers above. */
    public static String significant(double value) {
        double size = Math.abs(value);
        if (size == 0) {
            return "0";
        }
        if (size >= 100) {
            return plain(value, 0);
        }
        BigDecimal rounded = new BigDecimal(value).round(new MathContext(3, RoundingMode.HALF_UP));
        int decimals = Math.max(0, Math.min(4, rounded.stripTrailingZeros().scale()));
        if (size >= 10) {
            decimals = Math.min(decimals, 1);
        }
        return plain(value, decimals);
    }

    public static String date(LocalDate date) {
        return DATE.format(date);
    }

    /** The text of a value with so many decimals; a half goes up, also one that arithmetic left a hair below. */
    public static String plain(double value, int decimals) {
        BigDecimal rounded = BigDecimal.valueOf(value).round(ARITHMETIC).setScale(decimals, RoundingMode.HALF_UP);
        if (rounded.signum() == 0) {
            rounded = rounded.abs();
        }
        String digits = rounded.abs().toPlainString();
        int point = digits.indexOf('.');
        String whole = point < 0 ? digits : digits.substring(0, point);
        String rest = point < 0 ? "" : digits.substring(point);
        StringBuilder grouped = new StringBuilder(whole);
        if (whole.length() > 4) {
            for (int i = whole.length() - 3; i > 0; i -= 3) {
                grouped.insert(i, '\u202f');
            }
        }
        return (rounded.signum() < 0 ? "\u2212" : "") + grouped + rest;
    }
}
