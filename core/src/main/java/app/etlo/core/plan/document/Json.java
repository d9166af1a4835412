package app.etlo.core.plan.document;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.exc.InvalidFormatException;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import java.time.LocalDate;

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
            .addModule(new BoundedValues())
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
            throw new Refused("", "this is not readable JSON" + where + ": " + e.getOriginalMessage());
        }
    }

    static <T> T convert(JsonNode node, Class<T> type) {
        try {
            return MAPPER.treeToValue(node, type);
        } catch (JsonProcessingException e) {
            Problem p = problem(e);
            throw new Refused(p.pointer(), p.message());
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

    /**
     * What was wrong with a document that could not be read, at its place and in plain words: nothing of the program's own
     * names.
     */
    public static Problem problem(JsonProcessingException e) {
        if (e instanceof JsonMappingException m) {
            StringBuilder pointer = new StringBuilder();
            m.getPath()
                    .forEach(r ->
                            pointer.append('/').append(r.getFieldName() == null ? r.getIndex() : r.getFieldName()));
            return new Problem(pointer.toString(), plainly(m));
        }
        return new Problem("", "this is not readable JSON: " + e.getOriginalMessage());
    }

    private static String plainly(JsonMappingException e) {
        if (e instanceof UnrecognizedPropertyException u) {
            return "'" + u.getPropertyName() + "' is not known here";
        }
        if (e instanceof InvalidFormatException f) {
            String typed = String.valueOf(f.getValue());
            String kind = f.getTargetType() == LocalDate.class ? f.getOriginalMessage() : "a value that fits here";
            return "'" + (typed.length() > 40 ? typed.substring(0, 40) : typed) + "' is not " + kind;
        }
        for (Throwable t = e.getCause(); t != null; t = t.getCause()) {
            if (t instanceof IllegalArgumentException && t.getMessage() != null) {
                return t.getMessage();
            }
        }
        return "a value is missing here, or is of another kind than expected";
    }
}
