package app.etlo.core.plan.shown;

import app.etlo.core.knowledge.Aim;
import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.FieldOperation;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.PlantingSystem;
import app.etlo.core.knowledge.Product;
import app.etlo.core.knowledge.SowingMethod;
import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.TerminationMethod;
import com.fasterxml.jackson.databind.JsonNode;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;

/** Values of documents as people write them: dates unambiguous, quantities with their unit, library entries by name. */
public final class ValueWords {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    private final Knowledge knowledge;
    private final String currency;

    ValueWords(Knowledge knowledge, String currency) {
        this.knowledge = knowledge;
        this.currency = currency;
    }

    /** From what to what; an empty place is 'none'. */
    String arrow(Optional<String> before, Optional<String> after) {
        return before.orElse("none") + " → " + after.orElse("none");
    }

    String of(JsonNode value) {
        if (value.isNumber()) {
            return new BigDecimal(value.asText()).stripTrailingZeros().toPlainString();
        }
        if (value.isBoolean()) {
            return value.asBoolean() ? "yes" : "no";
        }
        if (value.isArray()) {
            return value.isEmpty()
                    ? "none"
                    : StreamSupport.stream(value.spliterator(), false)
                            .map(this::of)
                            .collect(Collectors.joining(", "));
        }
        if (value.has("unit")) {
            return of(value.path("value")) + " " + value.path("unit").asText().replace("¤", currency);
        }
        if (value.has("type")) {
            return "an outline";
        }
        if (value.isObject()) {
            return StreamSupport.stream(value.spliterator(), false)
                    .map(this::of)
                    .collect(Collectors.joining(", "));
        }
        String text = value.asText();
        return day(text).orElseGet(() -> named(text));
    }

    private static Optional<String> day(String text) {
        try {
            return Optional.of(LocalDate.parse(text).format(DAY));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    /** The name of what a library entry's id stands for, or the text as it is. */
    String named(String id) {
        return Stream.<Optional<String>>of(
                        knowledge.species().find(id).map(Species::name),
                        knowledge.crops().find(id).map(Crop::name),
                        knowledge.aims().find(id).map(Aim::name),
                        knowledge.products().find(id).map(Product::name),
                        knowledge.plantingSystems().find(id).map(PlantingSystem::name),
                        knowledge.sowingMethods().find(id).map(SowingMethod::name),
                        knowledge.terminationMethods().find(id).map(TerminationMethod::name),
                        knowledge.operations().find(id).map(FieldOperation::name))
                .flatMap(Optional::stream)
                .findFirst()
                .map(n -> n.toLowerCase(Locale.ROOT))
                .orElse(id);
    }
}
