package app.etlo.server.outbox;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import com.github.kagkarlsson.scheduler.serializer.JacksonSerializer;
import com.github.kagkarlsson.scheduler.serializer.Serializer;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.ObjectInputFilter;
import java.io.ObjectInputStream;
import java.io.ObjectStreamConstants;
import java.nio.ByteBuffer;

/**
 * What a task carries, as JSON. Emails that an earlier Etlo left waiting were written by Java's own serialisation: they are read as
 * well, and nothing else of that form is.
 */
public final class TaskData implements Serializer {
    private static final ObjectMapper JSON =
            JsonMapper.builder().addModule(new JavaTimeModule()).build();
    private static final ObjectInputFilter LETTERS_ALONE =
            ObjectInputFilter.Config.createFilter(Letter.class.getName() + ";java.lang.String;!*");

    private final Serializer json = new JacksonSerializer(JSON);

    @Override
    public byte[] serialize(Object data) {
        return json.serialize(data);
    }

    @Override
    public <T> T deserialize(Class<T> type, byte[] kept) {
        return isJava(kept) ? type.cast(letter(kept).email()) : json.deserialize(type, kept);
    }

    private static boolean isJava(byte[] kept) {
        return kept != null
                && kept.length > 1
                && ByteBuffer.wrap(kept).getShort() == ObjectStreamConstants.STREAM_MAGIC;
    }

    private static Letter letter(byte[] kept) {
        try (ObjectInputStream in = new ObjectInputStream(new ByteArrayInputStream(kept))) {
            in.setObjectInputFilter(LETTERS_ALONE);
            return (Letter) in.readObject();
        } catch (IOException | ClassNotFoundException e) {
            throw new IllegalArgumentException("a task that cannot be read", e);
        }
    }
}
