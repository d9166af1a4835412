package app.etlo.core.plan.document;

import app.etlo.core.knowledge.Knowledge;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
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

/** Reads a plan document of either version: first against its published schema, then against the knowledge it names. */
public final class PlanReader {
    private static final int MOST_PROBLEMS = 20;

    private static final int FIRST_VERSION = 1;

    private final Schema schema;
    private final Schema firstSchema;
    private final Schema checkSchema;
    private final Knowledge knowledge;

    public PlanReader(Knowledge knowledge) {
        this.knowledge = knowledge;
        this.schema = schema(schemaText());
        this.firstSchema = schema(text("plan-1.schema.json"));
        this.checkSchema = schema(definition("check"));
    }

    private static Schema schema(String text) {
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(text, InputFormat.JSON);
    }

    /** The published schema of the version that is written. */
    public static String schemaText() {
        return text("plan-2.schema.json");
    }

    private static String text(String name) {
        try (InputStream in = Objects.requireNonNull(PlanReader.class.getResourceAsStream("/formats/" + name))) {
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
        JsonNode current = upToDate(tree);
        validate(schema, current);
        PlanDocument plan = Json.convert(current, PlanDocument.class);
        List<Problem> problems = new PlanCheck(knowledge).problems(plan);
        if (!problems.isEmpty()) {
            throw new Refused(problems);
        }
        return plan;
    }

    /**
     * The tree of a document in the version that is written: one of version 1 is checked by its own schema and migrated, any other
     * is given back as it is.
     *
     * @throws Refused when a document of version 1 does not fit its schema
     */
    public JsonNode upToDate(JsonNode tree) {
        if (tree.path("schemaVersion").asInt() != FIRST_VERSION) {
            return tree;
        }
        validate(firstSchema, tree);
        return PlanMigration.fromVersion1(tree);
    }

    /** The canonical text of a kept document in the version that is written; the same text where it is of that already. */
    public String upToDate(String kept) {
        JsonNode tree = Json.tree(kept);
        JsonNode current = upToDate(tree);
        return current.equals(tree) ? kept : Json.write(Json.convert(current, PlanDocument.class));
    }

    /**
     * One look into the field, as the log keeps it.
     *
     * @throws Refused with every problem at its place
     */
    public PlanDocument.CheckEntry readCheck(JsonNode tree) {
        validate(checkSchema, tree);
        PlanDocument.CheckEntry check = Json.convert(tree, PlanDocument.CheckEntry.class);
        List<Problem> problems = new PlanCheck(knowledge).problems(check);
        if (!problems.isEmpty()) {
            throw new Refused(problems);
        }
        return check;
    }

    /** The schema of one of the definitions that the plan's schema holds. */
    private static String definition(String name) {
        ObjectNode alone = Json.tree("{}").deepCopy();
        JsonNode whole = Json.tree(schemaText());
        alone.set("$schema", whole.path("$schema"));
        alone.put("$ref", "#/$defs/" + name);
        alone.set("$defs", whole.path("$defs"));
        return alone.toString();
    }

    private static void validate(Schema schema, JsonNode tree) {
        List<Error> errors = schema.validate(tree);
        if (!errors.isEmpty()) {
            throw new Refused(errors.stream()
                    .limit(MOST_PROBLEMS)
                    .map(e -> new Problem(e.getInstanceLocation().toString(), e.getMessage()))
                    .toList());
        }
    }
}
