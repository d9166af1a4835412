package app.etlo.server.config;

import app.etlo.core.plan.document.Operation;
import app.etlo.server.documents.Described;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.stereotype.Component;

/** In the API's description every member of a record is required unless it is an Optional. */
@Component
class ApiDescription implements ModelConverter {
    @Override
    public Schema<?> resolve(AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
        if (!chain.hasNext()) {
            return null;
        }
        Schema<?> schema = chain.next().resolve(type, context, chain);
        Class<?> raw = Json.mapper().constructType(type.getType()).getRawClass();
        if (raw.isRecord() && schema != null) {
            Schema<?> described = schema.get$ref() == null
                    ? schema
                    : context.getDefinedModels().get(schema.get$ref().replaceFirst(".*/", ""));
            if (described != null && described.getProperties() != null) {
                described.setRequired(Arrays.stream(raw.getRecordComponents())
                        .filter(c -> !c.getType().equals(Optional.class))
                        .map(RecordComponent::getName)
                        .toList());
            }
        }
        return schema;
    }

    /** Adds the types that no endpoint returns but problems carry. */
    @Bean
    OpenApiCustomizer problemTypes(List<Described> described) {
        return api -> described.stream()
                .flatMap(d -> d.types().stream())
                .forEach(type -> ModelConverters.getInstance()
                        .readAll(type)
                        .forEach((name, schema) -> api.getComponents().addSchemas(name, schema)));
    }

    /** An operation is one of its kinds, distinguished by the word of its kind. */
    @Bean
    OpenApiCustomizer kindsOfOperation() {
        return api -> {
            Map<String, Schema> all = api.getComponents().getSchemas();
            Schema<Object> operation = new Schema<>();
            Discriminator discriminator = new Discriminator().propertyName("kind");
            for (JsonSubTypes.Type kind :
                    Operation.class.getAnnotation(JsonSubTypes.class).value()) {
                String name = kind.value().getSimpleName();
                Schema<?> inherited = all.get(name);
                Schema<?> own = inherited.getAllOf().get(1);
                own.addProperty("kind", new StringSchema()._enum(List.of(kind.name())));
                own.setRequired(Stream.concat(Stream.of("kind"), inherited.getRequired().stream())
                        .toList());
                all.put(name, own);
                String ref = "#/components/schemas/" + name;
                operation.addOneOfItem(new Schema<>().$ref(ref));
                discriminator.mapping(kind.name(), ref);
            }
            operation.setDiscriminator(discriminator);
            all.put("Operation", operation);
            Schema<?> list = (Schema<?>) all.get("PlanDocument").getProperties().get("operations");
            list.setItems(new Schema<>().$ref("#/components/schemas/Operation"));
        };
    }
}
