package app.etlo.server.knowledge;

import app.etlo.core.advice.Judgements;
import app.etlo.core.knowledge.Aim;
import app.etlo.core.knowledge.CoverPurpose;
import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.FieldOperation;
import app.etlo.core.knowledge.Group;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.PlantingSystem;
import app.etlo.core.knowledge.Product;
import app.etlo.core.knowledge.SowingMethod;
import app.etlo.core.plan.document.ContextCheck;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What the screens offer to choose from. */
@RestController
class KnowledgeController {
    private final Knowledge knowledge;

    KnowledgeController(Knowledge knowledge) {
        this.knowledge = knowledge;
    }

    /** A way of ending a cover, and whether it sprays. */
    record EndChoice(String id, String name, boolean sprays) {}

    record Choice(String id, String name) {}

    record SpeciesChoice(String id, String name, String botanical, String family, Group group, boolean legume) {}

    /** What the screen shows of a cash crop. */
    record CropChoice(
            String id,
            String name,
            String family,
            Group group,
            boolean bushels,
            boolean needByYield,
            String needUnit,
            double heightM,
            double rootDepthM,
            Optional<Double> testWeightLbBu,
            Optional<Double> harvestIndex,
            Crop.Growing growing) {}

    record SideChoice(String id, String name, String band, String holds) {}

    /** A question on which a farm chooses its side. */
    record SchoolChoice(String id, String name, List<SideChoice> sides) {}

    /**
     * A class of stock.
     *
     * @param animal as cautions name it
     * @param liveWeightKg of one, usual
     */
    record StockChoice(String id, String name, String animal, double liveWeightKg) {}

    record JudgementView(String name, String weight, String speaks, String source) {}

    record KnowledgeView(
            List<SpeciesChoice> species,
            List<CropChoice> crops,
            List<Choice> operations,
            List<PlantingSystemView> plantingSystems,
            List<Choice> sowingMethods,
            List<Choice> purposes,
            List<SchoolChoice> schools,
            List<String> families,
            List<EndChoice> terminationMethods,
            List<Choice> endZones,
            List<StockChoice> stockClasses,
            List<Choice> products,
            Collection<Aim> aims,
            List<String> textures,
            List<String> drainages,
            List<JudgementView> judgements) {}

    @Access(Who.MEMBER)
    @GetMapping("/api/knowledge")
    KnowledgeView knowledge() {
        return new KnowledgeView(
                knowledge.species().all().stream()
                        .map(s -> new SpeciesChoice(
                                s.id(),
                                s.name(),
                                s.botanical(),
                                s.family(),
                                s.group(),
                                s.group().isLegume()))
                        .toList(),
                knowledge.crops().all().stream()
                        .map(c -> new CropChoice(
                                c.id(),
                                c.name(),
                                c.family(),
                                c.group(),
                                c.testWeightLbBu().isPresent(),
                                c.need().filter(Crop.NeedFactor::byYield).isPresent(),
                                c.need()
                                        .filter(Crop.NeedFactor::byYield)
                                        .map(n -> n.unit().written())
                                        .orElse("kg/t"),
                                c.heightM(),
                                c.rootDepthM(),
                                c.testWeightLbBu(),
                                c.harvestIndex(),
                                c.growing()))
                        .toList(),
                choices(
                        knowledge.operations().all().stream()
                                .filter(o -> List.of("till", "strip", "press", "feed")
                                        .contains(o.use()))
                                .toList(),
                        FieldOperation::id,
                        FieldOperation::name),
                knowledge.plantingSystems().all().stream()
                        .map(s -> new PlantingSystemView(s.id(), s.name(), s.steps()))
                        .toList(),
                choices(knowledge.sowingMethods().all(), SowingMethod::id, SowingMethod::name),
                choices(knowledge.purposes().all(), CoverPurpose::id, CoverPurpose::name),
                knowledge.schools().all().stream()
                        .map(s -> new SchoolChoice(
                                s.id(),
                                s.name(),
                                s.sides().stream()
                                        .map(side -> new SideChoice(side.id(), side.name(), s.band(side), side.holds()))
                                        .toList()))
                        .toList(),
                knowledge.crops().all().stream()
                        .map(Crop::family)
                        .distinct()
                        .sorted()
                        .toList(),
                knowledge.terminationMethods().all().stream()
                        .map(t -> new EndChoice(t.id(), t.name(), t.usesHerbicide()))
                        .toList(),
                knowledge.endZones().all().stream()
                        .map(z -> new Choice(z.id(), z.name()))
                        .toList(),
                knowledge.stockClasses().all().stream()
                        .map(c -> new StockChoice(c.id(), c.name(), c.animal(), c.liveWeightKg()))
                        .toList(),
                choices(knowledge.products().all(), Product::id, Product::name),
                knowledge.aims().all(),
                ContextCheck.TEXTURES,
                ContextCheck.DRAINAGES,
                Judgements.all().stream()
                        .map(j -> new JudgementView(
                                j.name(),
                                j.weight().id(),
                                j.speaks(),
                                j.source().text()))
                        .toList());
    }

    /**
     * A planting system as a template of passes.
     *
     * @param steps in time, the planter last
     */
    record PlantingSystemView(String id, String name, List<PlantingSystem.Step> steps) {}

    /** The published schema of the plan document. */
    @Access(Who.ANYONE)
    @GetMapping(value = "/api/formats/plan.schema.json", produces = MediaType.APPLICATION_JSON_VALUE)
    String planSchema() {
        return PlanReader.schemaText();
    }

    /**
     * A plan document of an earlier version as it is written now; one of this version is given back. For what a page kept while the
     * server was away and an older page wrote.
     */
    @Access(Who.MEMBER)
    @PostMapping("/api/formats/plan")
    PlanDocument upToDate(@RequestBody PlanDocument plan) {
        return plan;
    }

    private static <T> List<Choice> choices(
            Collection<T> all, java.util.function.Function<T, String> id, java.util.function.Function<T, String> name) {
        return all.stream().map(t -> new Choice(id.apply(t), name.apply(t))).toList();
    }
}
