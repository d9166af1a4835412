package app.etlo.core.knowledge;

import app.etlo.core.working.Source;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** One row of a knowledge table, read by column; what does not fit is refused by file, line and column. */
final class Row {
    private final String file;
    private final Set<String> columns;
    private final Map<String, String> cells;
    private final long line;

    /**
     * @param columns of the table; a row that is too short has fewer cells
     */
    Row(String file, Set<String> columns, Map<String, String> cells, long line) {
        this.file = file;
        this.columns = columns;
        this.cells = cells;
        this.line = line;
    }

    /** The same row with another text in one of its cells. */
    Row with(String column, String text) {
        Map<String, String> changed = new LinkedHashMap<>(cells);
        changed.put(column, text);
        return new Row(file, columns, changed, line);
    }

    boolean has(String column) {
        return columns.contains(column);
    }

    BadRow bad(String column, String problem) {
        return new BadRow(file, line, column, problem);
    }

    Optional<String> optional(String column) {
        if (!columns.contains(column)) {
            throw bad(column, "the table has no such column");
        }
        if (!cells.containsKey(column)) {
            throw bad(column, "the row is too short");
        }
        String text = cells.get(column).strip();
        return text.isEmpty() ? Optional.empty() : Optional.of(text);
    }

    String text(String column) {
        return optional(column).orElseThrow(() -> bad(column, "is empty"));
    }

    String id(String column) {
        String id = text(column);
        if (!id.matches("[a-z][a-z0-9-]*")) {
            throw bad(column, "'" + id + "' is not a name in lower case with digits and hyphens");
        }
        return id;
    }

    /** A number from low to high, both included. */
    double number(String column, double low, double high) {
        String text = text(column);
        try {
            double v = Double.parseDouble(text);
            if (!(v >= low && v <= high)) {
                throw bad(column, text + " is outside " + low + " to " + high);
            }
            return v;
        } catch (NumberFormatException e) {
            throw bad(column, "'" + text + "' is not a number");
        }
    }

    Optional<Double> optionalNumber(String column, double low, double high) {
        return optional(column).map(t -> number(column, low, high));
    }

    String oneOf(String column, List<String> allowed) {
        String text = text(column);
        if (!allowed.contains(text)) {
            throw bad(column, "'" + text + "' is none of " + String.join(", ", allowed));
        }
        return text;
    }

    <E extends Enum<E> & Named> E oneOf(String column, E[] allowed) {
        String text = oneOf(column, Arrays.stream(allowed).map(Named::id).toList());
        return Arrays.stream(allowed)
                .filter(e -> e.id().equals(text))
                .findFirst()
                .orElseThrow();
    }

    Source.Status status(String column) {
        try {
            return Source.Status.of(text(column));
        } catch (IllegalArgumentException e) {
            throw bad(column, e.getMessage());
        }
    }
}
