package app.etlo.core.plan;

import app.etlo.core.knowledge.Knowledge;
import com.fasterxml.jackson.databind.JsonNode;
import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;

/** Reads a plan document: first against the published schema, then against the knowledge it names. */
public final class PlanReader {
    private static final int MOST_PROBLEMS = 20;

    private final Schema schema;
    private final Knowledge knowledge;

    public PlanReader(Knowledge knowledge) {
        this.knowledge = knowledge;
        this.schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(schemaText(), InputFormat.JSON);
    }

    /** The published schema. */
    public static String schemaText() {
        try (InputStream in =
                Objects.requireNonNull(PlanReader.class.getResourceAsStream("/formats/plan.schema.json"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * The plan in a text.
     *
     * @throws Refused with every problem at its place
     */
    public PlanDocument read(String text) {
        return read(Json.tree(text));
    }

    /**
     * The plan in a tree.
     *
     * @throws Refused with every problem at its place
     */
    public PlanDocument read(JsonNode tree) {
        List<Error> errors = schema.validate(tree);
        if (!errors.isEmpty()) {
            throw new Refused(errors.stream()
                    .limit(MOST_PROBLEMS)
                    .map(e -> new Problem(e.getInstanceLocation().toString(), e.getMessage()))
                    .toList());
        }
        PlanDocument plan = Json.convert(tree, PlanDocument.class);
        List<Problem> problems = new PlanCheck(knowledge).problems(plan);
        if (!problems.isEmpty()) {
            throw new Refused(problems);
        }
        return plan;
    }
}
