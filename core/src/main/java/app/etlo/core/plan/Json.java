package app.etlo.core.plan;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;

/** The one way Etlo writes and reads its documents: members in a fixed order, absent ones left out, nothing unknown taken. */
public final class Json {
    private static final int DEEPEST = 60;

    private static final ObjectMapper MAPPER = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(DEEPEST)
                            .maxStringLength(200_000)
                            .maxNumberLength(60)
                            .build())
                    .build())
            .addModule(new Jdk8Module())
            .addModule(new JavaTimeModule())
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .disable(SerializationFeature.WRITE_DATES_AS_TIMESTAMPS)
            .defaultPropertyInclusion(
                    JsonInclude.Value.construct(JsonInclude.Include.NON_ABSENT, JsonInclude.Include.NON_ABSENT))
            .build();

    private Json() {}

    /**
     * Reads text into a tree.
     *
     * @throws Refused when it is no JSON, with line and column
     */
    public static JsonNode tree(String text) {
        try {
            return MAPPER.readTree(text);
        } catch (JsonProcessingException e) {
            String where = e.getLocation() == null
                    ? ""
                    : " at line " + e.getLocation().getLineNr() + ", column "
                            + e.getLocation().getColumnNr();
            throw new Refused("", "this is no readable JSON" + where + ": " + e.getOriginalMessage());
        }
    }

    static <T> T convert(JsonNode node, Class<T> type) {
        try {
            return MAPPER.treeToValue(node, type);
        } catch (JsonProcessingException e) {
            throw new Refused(pointer(e), cause(e));
        }
    }

    /** The canonical text of a document. */
    public static String write(Object document) {
        try {
            return MAPPER.writeValueAsString(document);
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException(e);
        }
    }

    /** The canonical text, indented for a file. */
    public static String writeFile(Object document) {
        try {
            return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(document) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException(e);
        }
    }

    private static String pointer(JsonProcessingException e) {
        if (!(e instanceof com.fasterxml.jackson.databind.JsonMappingException m)) {
            return "";
        }
        StringBuilder pointer = new StringBuilder();
        m.getPath()
                .forEach(r -> pointer.append('/').append(r.getFieldName() == null ? r.getIndex() : r.getFieldName()));
        return pointer.toString();
    }

    private static String cause(JsonProcessingException e) {
        Throwable root = e;
        while (root.getCause() != null && root.getCause() != root) {
            root = root.getCause();
        }
        String message = root instanceof JsonProcessingException j ? j.getOriginalMessage() : root.getMessage();
        return message.length() > 200 ? message.substring(0, 200) : message;
    }
}
