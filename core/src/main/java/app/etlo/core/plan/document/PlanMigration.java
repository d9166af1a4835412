package app.etlo.core.plan.document;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Turns a plan document of version 1 into one of version 2. A pure function: the same document always gives the same one, with new
 * ids made from the old, so that two revisions migrated apart can still be compared and merged.
 *
 * <p>What version 1 left to a planting system is written out: the passes before planting become operations that keep their distance
 * from it. The steps of the systems are those of the library when version 1 was frozen; they must not follow the library.
 */
public final class PlanMigration {
    private static final int LONGEST_ID = 64;

    /** A pass that a system of version 1 made before the planting. */
    private record Step(String tool, int daysBefore) {}

    private static final Map<String, List<Step>> STEPS = Map.of(
            "no-till", List.of(),
            "strip-till", List.of(new Step("strip-till-unit", 7)),
            "full-width", List.of(new Step("tandem-disc", 14), new Step("field-cultivator", 1)));

    private static final Map<String, String> PLANTERS =
            Map.of("no-till", "no-till-planter", "strip-till", "no-till-planter", "full-width", "row-planter");

    private PlanMigration() {}

    /**
     * @param plan a document that passes the schema of version 1
     */
    static ObjectNode fromVersion1(JsonNode plan) {
        ObjectNode migrated = plan.deepCopy();
        migrated.put("schemaVersion", 2);
        Set<String> ids = ids(plan);
        Set<String> crops = new HashSet<>();
        plan.path("crops").forEach(c -> crops.add(c.path("id").asText()));
        ArrayNode operations = migrated.putArray("operations");
        // new ones come last, so that what is wrong with an old one is reported at the place it has in its document
        plan.path("operations")
                .forEach(o -> operations.add(
                        operation(o, crops.contains(o.path("subject").asText()))));
        for (JsonNode o : plan.path("operations")) {
            if (o.path("kind").asText().equals("sow")
                    && crops.contains(o.path("subject").asText())) {
                passes(o, ids).forEach(operations::add);
            }
        }
        return migrated;
    }

    private static ObjectNode operation(JsonNode old, boolean ofCrop) {
        ObjectNode o = old.deepCopy();
        // carried and never read
        o.remove(List.of("params", "zone"));
        JsonNode p = old.path("params");
        switch (old.path("kind").asText()) {
            case "sow" -> sow(o, p, ofCrop);
            case "end" -> {
                ArrayNode passes = o.putArray("passes");
                if (p.has("method")) {
                    passes.addObject()
                            .put("id", fit(old.path("id").asText() + "-1"))
                            .set("method", p.get("method"));
                }
            }
            case "pass" -> {
                copy(p, "operation", o, "tool");
                copy(p, "depth", o, "depth");
                copy(p, "speed", o, "speed");
                copy(p, "sharePercent", o, "disturbedPercent");
            }
            case "graze" -> copy(p, "sharePercent", o, "takePercent");
            case "irrigate" -> copy(p, "depth", o, "depth");
            default -> {
                // a harvest carried nothing
            }
        }
        return o;
    }

    /** A crop was planted by its system alone, a cover sown by its tool or method alone; what the other one said had no effect. */
    private static void sow(ObjectNode o, JsonNode p, boolean ofCrop) {
        if (ofCrop && p.has("system")) {
            o.put(
                    "tool",
                    PLANTERS.getOrDefault(
                            p.get("system").asText(), p.get("system").asText()));
        } else if (!ofCrop) {
            copy(p, "operation", o, "tool");
        }
        if (p.has("rowWidth") || p.has("stripWidth")) {
            ObjectNode rows = o.putObject("rows");
            copy(p, "rowWidth", rows, "spacing");
            copy(p, "stripWidth", rows, "strip");
        }
        if (p.has("seedPlaced") || p.has("openerSpread")) {
            ObjectNode with = o.putObject("withSeed");
            copy(p, "seedPlaced", with, "nAndK2O");
            copy(p, "openerSpread", with, "openerSpread");
        }
        List.of("depth", "speed", "method", "lateness", "seedbed", "purpose", "sownArea")
                .forEach(name -> copy(p, name, o, name));
        List.of("catchWidth", "catchDistance", "largeBox", "smallBox").forEach(name -> copy(p, name, o, name));
    }

    /** The passes that its system made ahead of a planting. */
    private static List<ObjectNode> passes(JsonNode sow, Set<String> ids) {
        String system = Optional.ofNullable(sow.path("params").get("system"))
                .map(JsonNode::asText)
                .orElse("no-till");
        return STEPS.getOrDefault(system, List.of()).stream()
                .map(step -> {
                    ObjectNode pass = JsonNodeFactory.instance.objectNode();
                    pass.put("id", unused(sow.path("id").asText() + "-" + step.tool(), ids));
                    pass.put("kind", "pass");
                    pass.set("subject", sow.get("subject"));
                    pass.putObject("when")
                            .putObject("offset")
                            .put("from", sow.path("id").asText())
                            .put("days", -step.daysBefore());
                    pass.put("tool", step.tool());
                    pass.put("system", system);
                    return pass;
                })
                .toList();
    }

    private static void copy(JsonNode from, String name, ObjectNode to, String as) {
        if (from.has(name)) {
            to.set(as, from.get(name));
        }
    }

    private static Set<String> ids(JsonNode plan) {
        Set<String> ids = new HashSet<>();
        List.of("crops", "covers", "operations")
                .forEach(list ->
                        plan.path(list).forEach(e -> ids.add(e.path("id").asText())));
        return ids;
    }

    private static String unused(String wanted, Set<String> ids) {
        String id = fit(wanted);
        for (int n = 2; !ids.add(id); n++) {
            id = fit(wanted + "-" + n);
        }
        return id;
    }

    /** An id that would be too long is cut, with a mark of the whole, so that two do not meet. */
    private static String fit(String id) {
        if (id.length() <= LONGEST_ID) {
            return id;
        }
        try {
            byte[] whole = MessageDigest.getInstance("SHA-256").digest(id.getBytes(StandardCharsets.UTF_8));
            return id.substring(0, LONGEST_ID - 9) + "-" + HexFormat.of().formatHex(whole, 0, 4);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
