package app.etlo.core.plan.asked;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import com.fasterxml.jackson.annotation.JsonValue;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;

/** The consequences of ending a cover, each over the days, in the order in which they were first told. */
public final class EndRows {
    /** Which way a row is better. */
    public enum Better {
        MORE("more"),
        LESS("less"),
        NEITHER("neither");

        private final String id;

        Better(String id) {
            this.id = id;
        }

        @JsonValue
        public String id() {
            return id;
        }
    }

    /** How two days are compared: by their difference, or from one value to another. */
    public enum Change {
        BY("by"),
        TO("to");

        private final String id;

        Change(String id) {
            this.id = id;
        }

        @JsonValue
        public String id() {
            return id;
        }
    }

    /**
     * What a row is of.
     *
     * @param group stand, kill, soil or crop
     * @param unit in which the core holds it
     * @param note why it does not count on this field
     */
    record Kind(String id, String group, String name, Unit unit, Better better, Change change, Optional<String> note) {
        Kind(String id, String group, String name, Unit unit, Better better, Change change) {
            this(id, group, name, unit, better, change, Optional.empty());
        }
    }

    /**
     * One consequence over the days.
     *
     * @param group stand, kill, soil or crop
     * @param decimals to which a difference is written
     */
    public record RowView(
            String id,
            String group,
            String name,
            String unit,
            Better better,
            Change change,
            int decimals,
            List<PointView> points,
            Optional<String> note) {}

    /** The middle of the years with the least and most of 8 in 10. */
    public record PointView(LocalDate on, double low, double middle, double high, String text) {}

    private record Row(Kind kind, NavigableMap<LocalDate, Band> points) {}

    private final Map<String, Row> rows = new LinkedHashMap<>();

    void put(Kind kind, LocalDate on, Band value) {
        rows.computeIfAbsent(kind.id(), k -> new Row(kind, new TreeMap<>()))
                .points()
                .put(on, value);
    }

    /** What a row came to by day; nothing where there is no such row. */
    NavigableMap<LocalDate, Band> points(String id) {
        return Optional.ofNullable(rows.get(id)).map(Row::points).orElseGet(TreeMap::new);
    }

    List<RowView> views(UnitSystem units) {
        return rows.values().stream().map(r -> view(r, units)).toList();
    }

    private static RowView view(Row row, UnitSystem units) {
        Unit unit = row.kind().unit();
        Unit shown = units.shown(unit);
        List<PointView> points = new ArrayList<>();
        int decimals = 0;
        for (Map.Entry<LocalDate, Band> p : row.points().entrySet()) {
            Band b = p.getValue();
            double middle = unit.to(shown, b.middle());
            double low = unit.to(shown, b.low());
            double high = unit.to(shown, b.high());
            String text = text(unit, middle, shown, high - low);
            int point = text.indexOf('.');
            decimals = Math.max(decimals, point < 0 ? 0 : text.length() - point - 1);
            points.add(new PointView(p.getKey(), round(low), round(middle), round(high), text));
        }
        Kind k = row.kind();
        return new RowView(
                k.id(),
                k.group(),
                k.name(),
                shown == Unit.FRACTION ? "" : shown.written(),
                k.better(),
                k.change(),
                Math.min(decimals, 2),
                points,
                k.note());
    }

    private static String text(Unit unit, double value, Unit shown, double spread) {
        return switch (unit) {
            case DAY, PERCENT, CENTIMETRE -> Shown.plain(value, 0);
            case FRACTION -> Shown.plain(value, value < 20 ? 1 : 0);
            default -> Shown.text(value, shown, spread);
        };
    }

    private static double round(double v) {
        return Math.round(v * 1000) / 1000.0;
    }
}
