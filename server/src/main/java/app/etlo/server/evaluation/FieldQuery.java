package app.etlo.server.evaluation;

import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.Refused;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Which fields of the list are asked for, in which order, from where on.
 *
 * @param find part of the name of a field, its farm or what stands on it; in lower case
 * @param limit rows of a page, 1 to {@value #MOST}
 */
record FieldQuery(Show show, Order order, String find, Optional<Cursor> after, int limit) {
    static final int MOST = 200;
    private static final int LONGEST_FIND = 100;
    private static final int LONGEST_CURSOR = 2000;

    /** Which fields are shown. */
    enum Show {
        ALL("true"),
        /** Something is to be decided within a fortnight. */
        DUE("s.next_on <= :day + 14"),
        STOP("s.stops > 0"),
        UNDATED("s.next_on is null"),
        FAULT("s.fault is not null");

        final String sql;

        Show(String sql) {
            this.sql = sql;
        }
    }

    /** What they are sorted by; ties by name, then by id. */
    enum Order {
        NEXT("coalesce(s.next_on, 'infinity'::date)::text"),
        NAME("''"),
        FARM("lower(coalesce(a.name, ''))");

        final String sql;

        Order(String sql) {
            this.sql = sql;
        }
    }

    /** Where the page before ended: its last row's place in the order. */
    record Cursor(String key, String name, String ref) {
        String text() {
            return Base64.getUrlEncoder()
                    .withoutPadding()
                    .encodeToString(Json.write(List.of(key, name, ref)).getBytes(StandardCharsets.UTF_8));
        }

        /** The cursor in a text; nothing when there is none in it. */
        static Optional<Cursor> read(String text) {
            try {
                JsonNode n = Json.tree(new String(Base64.getUrlDecoder().decode(text), StandardCharsets.UTF_8));
                boolean sound = text.length() <= LONGEST_CURSOR
                        && n.isArray()
                        && n.size() == 3
                        && n.toString().indexOf("\\u0000") < 0;
                return sound
                        ? Optional.of(new Cursor(
                                n.get(0).asText(), n.get(1).asText(), n.get(2).asText()))
                        : Optional.empty();
            } catch (IllegalArgumentException | Refused e) {
                return Optional.empty();
            }
        }
    }

    /**
     * A query as it was asked.
     *
     * @throws Refused when it cannot be
     */
    static FieldQuery of(
            Optional<String> show,
            Optional<String> order,
            Optional<String> find,
            Optional<String> after,
            Optional<Integer> limit) {
        String part = find.orElse("").strip().toLowerCase(Locale.ROOT);
        if (part.length() > LONGEST_FIND || part.indexOf('\0') >= 0) {
            throw new Refused("/find", "up to " + LONGEST_FIND + " characters");
        }
        int rows = limit.orElse(50);
        if (rows < 1 || rows > MOST) {
            throw new Refused("/limit", "from 1 to " + MOST);
        }
        return new FieldQuery(
                named(Show.values(), show, "/show"),
                named(Order.values(), order, "/order"),
                part,
                after.filter(a -> !a.isEmpty())
                        .map(a -> Cursor.read(a)
                                .orElseThrow(() -> new Refused("/after", "the 'next' of the page before"))),
                rows);
    }

    private static <T extends Enum<T>> T named(T[] values, Optional<String> name, String at) {
        if (name.filter(n -> !n.isEmpty()).isEmpty()) {
            return values[0];
        }
        for (T v : values) {
            if (v.name().toLowerCase(Locale.ROOT).equals(name.get())) {
                return v;
            }
        }
        throw new Refused(at, "one of " + List.of(values).toString().toLowerCase(Locale.ROOT));
    }
}
