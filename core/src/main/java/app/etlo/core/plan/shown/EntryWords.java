package app.etlo.core.plan.shown;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.Knowledge;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.StreamSupport;

/** Names the entries of a plan by what they are: 'grain corn 2027', 'cover before grain corn 2027', '… ended'. */
public final class EntryWords {
    static final Set<String> LISTS = Set.of("crops", "covers", "operations", "answers");

    private final Knowledge knowledge;

    EntryWords(Knowledge knowledge) {
        this.knowledge = knowledge;
    }

    String name(JsonNode plan, String list, String id) {
        return switch (list) {
            case "crops" -> crop(plan, id);
            case "covers" -> cover(plan, id);
            default -> operation(plan, id);
        };
    }

    private String crop(JsonNode plan, String id) {
        Optional<JsonNode> entry = entry(plan, "crops", id);
        String name = entry.map(e -> e.path("crop").asText())
                .flatMap(c -> knowledge.crops().find(c))
                .map(Crop::name)
                .map(n -> n.toLowerCase(Locale.ROOT))
                .orElse("a crop");
        return name + year(plan, id);
    }

    /** The year of harvest, else of sowing, that distinguishes two crops of one kind. */
    private String year(JsonNode plan, String cropId) {
        for (String kind : new String[] {"harvest", "sow"}) {
            for (JsonNode o : plan.path("operations")) {
                if (o.path("kind").asText().equals(kind)
                        && o.path("subject").asText().equals(cropId)) {
                    String day = o.at("/when/on")
                            .asText(o.at("/when/countedBack/from").asText(""));
                    if (!day.isEmpty()) {
                        return " " + day.substring(0, 4);
                    }
                }
            }
        }
        return "";
    }

    private String cover(JsonNode plan, String id) {
        return entry(plan, "covers", id)
                .map(c -> "cover " + c.at("/place/relation").asText() + " "
                        + crop(plan, c.at("/place/cropId").asText()))
                .orElse("a cover");
    }

    private String operation(JsonNode plan, String id) {
        Optional<JsonNode> found = entry(plan, "operations", id);
        if (found.isEmpty()) {
            return "an operation";
        }
        JsonNode o = found.get();
        String subject = o.path("subject").asText("");
        boolean ofCover = entry(plan, "covers", subject).isPresent();
        String who = subject.isEmpty() ? "" : (ofCover ? cover(plan, subject) : crop(plan, subject)) + " ";
        return switch (o.path("kind").asText()) {
            case "sow" -> who + (ofCover ? "sown" : "planted");
            case "end" -> who + "ended";
            case "graze" -> who + "grazed";
            case "irrigate" -> who + "watered";
            case "feed" -> who + "fed";
            case "harvest" -> who + "harvested";
            default -> who + pass(o);
        };
    }

    private String pass(JsonNode operation) {
        return knowledge
                .operations()
                .find(operation.path("tool").asText())
                .map(p -> p.name().toLowerCase(Locale.ROOT))
                .orElse("a pass");
    }

    private static Optional<JsonNode> entry(JsonNode plan, String list, String id) {
        return StreamSupport.stream(plan.path(list).spliterator(), false)
                .filter(e -> e.path("id").asText().equals(id))
                .findFirst();
    }
}
