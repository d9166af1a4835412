package app.etlo.core.quantity;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;

/** Which of the figures 11/1/1996 is the month. */
public enum DayOrder {
    DAY_FIRST("dmy"),
    MONTH_FIRST("mdy");

    private final String id;

    DayOrder(String id) {
        this.id = id;
    }

    @JsonValue
    public String id() {
        return id;
    }

    @JsonCreator
    public static DayOrder of(String id) {
        for (DayOrder o : values()) {
            if (o.id.equals(id)) {
                return o;
            }
        }
        throw new IllegalArgumentException("dmy or mdy");
    }
}
