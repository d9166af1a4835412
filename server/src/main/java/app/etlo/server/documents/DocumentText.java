package app.etlo.server.documents;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
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
}
