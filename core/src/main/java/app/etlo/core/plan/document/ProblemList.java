package app.etlo.core.plan.document;

import app.etlo.core.quantity.Dimension;
import app.etlo.core.quantity.Quantity;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Optional;

/** Gathers what is wrong with a document, each problem at its place. */
public final class ProblemList {
    static final String A_DAY_OF_YEAR = "a day of the year as MM-dd, such as 10-04";

    private static final String ID = "[A-Za-z0-9][A-Za-z0-9_-]{0,63}";
    private final List<Problem> problems = new ArrayList<>();

    public void oneOf(Optional<String> text, String at, List<String> allowed) {
        text.filter(t -> !allowed.contains(t)).ifPresent(t -> problem(at, "one of " + String.join(", ", allowed)));
    }

    void text(Optional<String> text, String at, int most) {
        text.filter(t -> t.length() > most).ifPresent(t -> problem(at, "at most " + most + " characters"));
    }

    void date(Optional<LocalDate> day, String at) {
        day.filter(d -> d.getYear() < 1950 || d.getYear() > 2099)
                .ifPresent(d -> problem(at, "a date from 1950 to 2099"));
    }

    void number(Optional<Double> v, double low, double high, String at) {
        v.ifPresent(n -> between(n, low, high, at));
    }

    <T> List<T> list(Optional<List<T>> list, String at, int most) {
        List<T> all = list.orElse(List.of());
        if (all.size() > most) {
            problem(at, "at most " + most + " of them");
            return List.of();
        }
        return all;
    }

    void id(String id, String at) {
        if (id == null || !id.matches(ID)) {
            problem(at, "an id has up to 64 letters, digits, hyphens and underscores");
        }
    }

    void name(String name, String at) {
        if (name == null || name.isBlank()) {
            problem(at, "give it a name");
        } else if (name.length() > 120) {
            problem(at, "at most 120 characters");
        }
    }

    void currency(String code) {
        try {
            Currency.getInstance(code);
        } catch (IllegalArgumentException | NullPointerException e) {
            problem("/currency", "the three letters of a currency, such as EUR or USD");
        }
    }

    void day(Optional<String> day, String at) {
        day.filter(d -> !isDayOfYear(d)).ifPresent(d -> problem(at, A_DAY_OF_YEAR));
    }

    /** Whether it is a day of the year, written MM-dd. */
    static boolean isDayOfYear(String text) {
        try {
            MonthDay.parse("--" + text);
            return true;
        } catch (DateTimeException e) {
            return false;
        }
    }

    boolean between(double v, double low, double high, String at) {
        boolean inside = v >= low && v <= high;
        if (!inside) {
            problem(at, "from " + (long) low + " to " + (long) high);
        }
        return inside;
    }

    void quantity(Optional<Quantity> q, String at, Dimension dimension, double low, double high) {
        q.ifPresent(v -> {
            if (v.unit() == null || v.unit().dimension() != dimension) {
                problem(at + "/unit", "this unit does not fit here");
            } else {
                double size = v.value() * v.unit().factor();
                if (!(size >= low && size <= high)) {
                    problem(at + "/value", v.value() + " " + v.unit().written() + " cannot be");
                }
            }
        });
    }

    public void problem(String pointer, String message) {
        problems.add(new Problem(pointer, message));
    }

    public void done() {
        if (!problems.isEmpty()) {
            throw new Refused(problems);
        }
    }
}
