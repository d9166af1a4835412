package app.etlo.server.documents;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Reads documents that the store already let in. */
@Component
public class DocumentText {
    private final ObjectMapper mapper;

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

    public <T> T read(String text, Class<T> type) {
        try {
            return mapper.readValue(text, type);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a stored document cannot be read", e);
        }
    }

    /** Something kept to be read again; empty where it is of an earlier shape and has to be made anew. */
    public <T> Optional<T> kept(String text, Class<T> type) {
        try {
            return Optional.of(mapper.readValue(text, type));
        } catch (JsonProcessingException e) {
            return Optional.empty();
        }
    }
}
