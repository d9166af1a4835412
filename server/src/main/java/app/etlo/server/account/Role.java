package app.etlo.server.account;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Arrays;
import java.util.Locale;

/**
 * What somebody is in a practice. An assistant works on fields, plans and lots; people, and what is removed for good, stay
 * with the advisers.
 */
public enum Role {
    ADVISER,
    ASSISTANT;

    @JsonValue
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * @throws IllegalArgumentException when there is no such role
     */
    @JsonCreator
    public static Role of(String id) {
        return Arrays.stream(values())
                .filter(r -> r.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("adviser or assistant"));
    }
}
