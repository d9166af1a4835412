package app.etlo.server.outbox;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.ObjectOutputStream;
import java.io.Serializable;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What waits in the database is read in both forms, and only emails in the old one. */
class TaskDataTest {
    private static final Email EMAIL = new Email("grower@example.org", "A new password", "Open this link.");

    private final TaskData data = new TaskData();

    record Due(long id, LocalDate on) {}

    private static byte[] java(Object o) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ObjectOutputStream objects = new ObjectOutputStream(out)) {
            objects.writeObject(o);
        }
        return out.toByteArray();
    }

    @Test
    void tasks_are_written_as_json_and_read_again() {
        byte[] kept = data.serialize(new Due(7, LocalDate.of(2026, 11, 30)));
        assertThat(new String(kept, StandardCharsets.UTF_8)).startsWith("{").contains("\"id\":7");
        assertThat(data.deserialize(Due.class, kept)).isEqualTo(new Due(7, LocalDate.of(2026, 11, 30)));
        assertThat(data.deserialize(Email.class, data.serialize(EMAIL))).isEqualTo(EMAIL);
    }

    @Test
    void an_email_left_waiting_by_an_earlier_version_is_read() throws IOException {
        assertThat(data.deserialize(Email.class, java(new Letter(EMAIL.to(), EMAIL.subject(), EMAIL.text()))))
                .isEqualTo(EMAIL);
    }

    @Test
    void nothing_else_of_the_old_form_is() throws IOException {
        Serializable other = new ArrayList<>(List.of("a"));
        byte[] kept = java(other);
        assertThatThrownBy(() -> data.deserialize(Email.class, kept)).isInstanceOf(IllegalArgumentException.class);
    }
}
