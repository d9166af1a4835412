package app.etlo.server.documents;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Reads documents that the store already let in. What is read over and over is read once: kept by its whole text, so that it is never
 * of another state than the row, whichever server wrote that.
 */
@Component
public class DocumentText {
    /** All texts that are kept together, and the longest of them; an outline of many thousand points is read every time. */
    private static final long MOST_LETTERS = 4_000_000;

    private static final int LONGEST_LETTERS = 200_000;

    private final ObjectMapper mapper;
    private final Cache<Kept, Object> read = Caffeine.newBuilder()
            .maximumWeight(MOST_LETTERS)
            .weigher((Kept k, Object document) -> k.text().length())
            .build();

    private record Kept(Class<?> type, String text) {}

    DocumentText(ObjectMapper mapper) {
        this.mapper = mapper;
    }

    public <T> T read(String text, TypeReference<T> type) {
        try {
            return mapper.readValue(text, type);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a stored document cannot be read", e);
        }
    }

    /**
     * @param type an immutable record, since readers share it
     */
    public <T> T read(String text, Class<T> type) {
        return text.length() > LONGEST_LETTERS
                ? parsed(text, type)
                : type.cast(read.get(new Kept(type, text), k -> parsed(text, type)));
    }

    private <T> T parsed(String text, Class<T> type) {
        try {
            return mapper.readValue(text, type);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a stored document cannot be read", e);
        }
    }

    /** Something kept to be read again; empty where it is of an earlier shape and has to be made again. */
    public <T> Optional<T> kept(String text, Class<T> type) {
        try {
            return Optional.of(mapper.readValue(text, type));
        } catch (JsonProcessingException e) {
            return Optional.empty();
        }
    }
}
