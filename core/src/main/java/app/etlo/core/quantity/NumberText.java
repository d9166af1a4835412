package app.etlo.core.quantity;

import java.util.Collection;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Numbers as people and spreadsheets write them: thousands grouped by blanks, apostrophes, commas or points, decimals behind a point
 * or a comma. "1,200" can be twelve hundred or one and a fifth: it is read only where the table's decimal sign is known.
 */
public final class NumberText {
    private static final Pattern BLANKS = Pattern.compile("[\\s\\u00a0\\u202f'\u2019]");
    private static final int LONGEST = 24;

    private NumberText() {}

    /** The sign before decimals. */
    public enum DecimalSign {
        POINT('.', ','),
        COMMA(',', '.');

        private final char decimal;
        private final char group;

        DecimalSign(char decimal, char group) {
            this.decimal = decimal;
            this.group = group;
        }

        /** The sign of a name, point or comma. */
        public static DecimalSign of(String name) {
            for (DecimalSign s : values()) {
                if (s.name().equalsIgnoreCase(name)) {
                    return s;
                }
            }
            throw new IllegalArgumentException("point or comma");
        }
    }

    /** What a text says. */
    public sealed interface Read {
        record Number(double value) implements Read {}

        /** Thousands or decimals; only its writer knows. */
        record Either(double grouped, double decimal) implements Read {}

        record NotANumber() implements Read {}
    }

    private static final Read NONE = new Read.NotANumber();

    /**
     * The number in a text.
     *
     * @param sign the decimal sign of the table it stands in, where that is known
     */
    public static Read read(String text, Optional<DecimalSign> sign) {
        String plain = BLANKS.matcher(text.strip()).replaceAll(" ").replace('\u2212', '-');
        boolean minus = plain.startsWith("-");
        String body = minus ? plain.substring(1) : plain;
        if (body.length() > LONGEST || !body.matches("[\\d., ]*\\d[\\d., ]*")) {
            return NONE;
        }
        Optional<DecimalSign> shown = shown(body);
        if (shown.isEmpty() && mayGroup(body)) {
            double grouped = signed(minus, body.replaceAll("\\D", ""));
            double decimal = signed(minus, body.replace(',', '.'));
            return sign.<Read>map(s -> new Read.Number(body.indexOf(s.decimal) >= 0 ? decimal : grouped))
                    .orElse(new Read.Either(grouped, decimal));
        }
        DecimalSign s = shown.orElse(DecimalSign.POINT);
        int at = body.lastIndexOf(s.decimal);
        String whole = at < 0 ? body : body.substring(0, at);
        String behind = at < 0 ? "" : body.substring(at + 1);
        if (!whole.matches("\\d*|\\d{1,3}( \\d{3})+|\\d{1,3}(\\" + s.group + "\\d{3})+") || !behind.matches("\\d*")) {
            return NONE;
        }
        String digits = whole.replaceAll("\\D", "");
        return new Read.Number(signed(minus, (digits.isEmpty() ? "0" : digits) + "." + behind + "0"));
    }

    /** The decimal sign that the numbers of a table show, where they agree. */
    public static Optional<DecimalSign> signOf(Collection<String> texts) {
        boolean point = false;
        boolean comma = false;
        for (String t : texts) {
            String body = BLANKS.matcher(t.strip()).replaceAll(" ").replaceFirst("^[-\u2212]", "");
            if (body.matches("[\\d., ]*\\d[\\d., ]*")) {
                Optional<DecimalSign> s = shown(body);
                point |= s.filter(x -> x == DecimalSign.POINT).isPresent();
                comma |= s.filter(x -> x == DecimalSign.COMMA).isPresent();
            }
        }
        return point == comma ? Optional.empty() : Optional.of(point ? DecimalSign.POINT : DecimalSign.COMMA);
    }

    /** The decimal sign that one number shows by itself; empty for a whole number and for what can be read two ways. */
    private static Optional<DecimalSign> shown(String body) {
        int point = body.lastIndexOf('.');
        int comma = body.lastIndexOf(',');
        if (point < 0 && comma < 0 || mayGroup(body)) {
            return Optional.empty();
        }
        if (point >= 0 && comma >= 0) {
            return Optional.of(point > comma ? DecimalSign.POINT : DecimalSign.COMMA);
        }
        char mark = point >= 0 ? '.' : ',';
        boolean often = body.indexOf(mark) != body.lastIndexOf(mark);
        return Optional.of(mark == '.' ^ often ? DecimalSign.POINT : DecimalSign.COMMA);
    }

    private static boolean mayGroup(String body) {
        return body.matches("[1-9]\\d{0,2}[.,]\\d{3}");
    }

    private static double signed(boolean minus, String digits) {
        double v = Double.parseDouble(digits);
        return minus ? -v : v;
    }
}
