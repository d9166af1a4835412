package app.etlo.server.config;

import app.etlo.core.ground.GroundMemory;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.BoundedValues;
import app.etlo.core.plan.document.PlanCost;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.plan.growth.GrowthMemory;
import app.etlo.core.plan.growth.TriedGrowth;
import app.etlo.core.plan.timeline.Climates;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.time.Clock;
import java.util.Optional;
import org.springframework.boot.autoconfigure.jackson.Jackson2ObjectMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;

/** Puts the core to work: its tables, its reader and its evaluator. */
@Configuration
class CoreConfig {
    private static final int FIELDS_REMEMBERED = 8;
    /** An eighth of the heap may hold what is remembered of them. */
    private static final int SHARE_OF_HEAP = 8;

    @Bean
    Knowledge knowledge() {
        return KnowledgeLoader.shipped();
    }

    @Bean
    PlanReader planReader(Knowledge knowledge) {
        return new PlanReader(knowledge);
    }

    @Bean
    Climates climates(Knowledge knowledge) {
        return new Climates(knowledge);
    }

    /** For editors: a plan that was just looked at is played on from where it changed. */
    @Bean
    @Primary
    Evaluator evaluator(Knowledge knowledge, Climates climates) {
        return new Evaluator(
                knowledge,
                climates,
                Optional.of(new GrowthMemory(
                        new GroundMemory(FIELDS_REMEMBERED, Runtime.getRuntime().maxMemory() / SHARE_OF_HEAP),
                        new TriedGrowth(FIELDS_REMEMBERED))));
    }

    /** For whole lists of fields, which would push out what editors are at. */
    @Bean
    Evaluator listEvaluator(Knowledge knowledge, Climates climates) {
        return new Evaluator(knowledge, climates);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    /** Every plan that comes in passes the published schema and can be computed, wherever in a request it stands. */
    @Bean
    Jackson2ObjectMapperBuilderCustomizer plansByTheirReader(PlanReader reader) {
        return builder -> builder.modulesToInstall(new BoundedValues())
                .deserializerByType(PlanDocument.class, new JsonDeserializer<PlanDocument>() {
                    @Override
                    public PlanDocument deserialize(JsonParser parser, DeserializationContext context)
                            throws IOException {
                        PlanDocument plan = reader.read(parser.<JsonNode>readValueAsTree());
                        PlanCost.require(plan);
                        return plan;
                    }
                });
    }
}
