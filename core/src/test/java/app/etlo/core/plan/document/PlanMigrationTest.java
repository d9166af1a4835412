package app.etlo.core.plan.document;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.change.Differences;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.timeline.PlantingSystems;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import java.util.stream.StreamSupport;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Documents of version 1 are read for ever. */
class PlanMigrationTest {
    private static final String FIRST = """
            {"schemaVersion":1,"id":"p1","fieldId":"f1",
             "crops":[{"id":"c1","crop":"grain-corn"}],
             "covers":[{"id":"v1","place":{"relation":"before","cropId":"c1"}}],
             "operations":[%s],"answers":[]}
            """;

    private static PlanDocument read(String operations) {
        return new PlanReader(Plans.KNOWLEDGE).read(FIRST.formatted(operations));
    }

    private static String operation(String kind, String subject, String params) {
        return "{\"id\":\"o-%s-%s\",\"kind\":\"%s\",\"subject\":\"%s\",\"when\":{\"on\":\"2027-05-10\"},\"params\":{%s}}"
                .formatted(kind, subject, kind, subject, params);
    }

    private static Operation first(String operations) {
        return read(operations).operations().get(0);
    }

    @Test
    void every_member_of_a_sowing_finds_its_new_place() {
        Operation.Sow s = (Operation.Sow) first(operation(
                "sow",
                "v1",
                "\"method\":\"drilled\",\"operation\":\"no-till-drill\",\"lateness\":1.1,\"seedbed\":1.2,\"purpose\":2,"
                        + "\"sownArea\":{\"value\":9,\"unit\":\"ha\"},\"catchWidth\":{\"value\":3,\"unit\":\"m\"},"
                        + "\"catchDistance\":{\"value\":50,\"unit\":\"m\"},\"largeBox\":{\"value\":400,\"unit\":\"L\"},"
                        + "\"smallBox\":{\"value\":40,\"unit\":\"L\"},\"rowWidth\":{\"value\":19,\"unit\":\"cm\"},"
                        + "\"seedPlaced\":{\"value\":20,\"unit\":\"kg/ha\"},\"openerSpread\":{\"value\":3,\"unit\":\"cm\"},"
                        + "\"speed\":{\"value\":8,\"unit\":\"km/h\"},\"depth\":{\"value\":2,\"unit\":\"cm\"}"));
        assertThat(s.method()).contains("drilled");
        assertThat(s.tool()).contains("no-till-drill");
        assertThat(s.lateness()).contains(1.1);
        assertThat(s.seedbed()).contains(1.2);
        assertThat(s.purpose()).contains(2.0);
        assertThat(s.sownArea()).isPresent();
        assertThat(s.catchWidth()).isPresent();
        assertThat(s.catchDistance()).isPresent();
        assertThat(s.largeBox()).isPresent();
        assertThat(s.smallBox()).isPresent();
        assertThat(s.rows().flatMap(Operation.RowsEntry::spacing)).isPresent();
        assertThat(s.withSeed().flatMap(Operation.WithSeedEntry::nAndK2O)).isPresent();
        assertThat(s.withSeed().flatMap(Operation.WithSeedEntry::openerSpread)).isPresent();
        assertThat(s.speed()).isPresent();
        assertThat(s.depth()).isPresent();
    }

    @Test
    void an_end_gets_a_pass_or_stays_open_and_a_pass_its_tool() {
        Operation.End e = (Operation.End) first(operation("end", "v1", "\"method\":\"roller-crimper\""));
        assertThat(e.passes())
                .containsExactly(
                        new Operation.EndPassEntry("o-end-v1-1", "roller-crimper", Optional.empty(), Optional.empty()));
        assertThat(((Operation.End) first(operation("end", "v1", ""))).passes()).isEmpty();
        Operation.Pass p = (Operation.Pass) first(operation(
                "pass",
                "c1",
                "\"operation\":\"tandem-disc\",\"sharePercent\":80,\"depth\":{\"value\":9,\"unit\":\"cm\"}"));
        assertThat(p.tool()).isEqualTo("tandem-disc");
        assertThat(p.disturbedPercent()).contains(80.0);
        assertThat(p.depth()).isPresent();
        assertThat(((Operation.Graze) first(operation("graze", "v1", "\"sharePercent\":40"))).takePercent())
                .isEqualTo(40);
        assertThat(((Operation.Irrigate) first(operation("irrigate", "c1", "\"depth\":{\"value\":25,\"unit\":\"mm\"}")))
                        .depth()
                        .value())
                .isEqualTo(25);
    }

    /** What a system did silently is written into the plan, follows the planting, and can be moved or removed. */
    @ParameterizedTest
    @CsvSource({
        "no-till, no-till-planter, ''",
        "strip-till, no-till-planter, strip-till-unit -7",
        "full-width, row-planter, tandem-disc -14; field-cultivator -1"
    })
    void a_systems_passes_are_written_out(String system, String planter, String passes) {
        PlanDocument plan = read(operation("sow", "c1", "\"system\":\"" + system + "\""));
        assertThat(((Operation.Sow) plan.operations().get(0)).tool()).contains(planter);
        assertThat(plan.operations().stream()
                        .skip(1)
                        .map(o -> (Operation.Pass) o)
                        .map(p ->
                                p.tool() + " " + p.when().offset().orElseThrow().days())
                        .toList())
                .isEqualTo(passes.isEmpty() ? List.of() : List.of(passes.split("; ")));
        assertThat(new PlantingSystems(plan, Plans.KNOWLEDGE).of("c1")).contains(system);
    }

    @Test
    void what_had_no_effect_in_version_1_gets_none() {
        assertThat(((Operation.Sow) first(operation("sow", "v1", "\"system\":\"full-width\""))).tool())
                .isEmpty();
        assertThat(((Operation.Sow) first(operation("sow", "c1", "\"operation\":\"row-planter\""))).tool())
                .isEmpty();
    }

    /** The base of a comparison is migrated like its ends: what differed in version 1 differs, and nothing else. */
    @Property(tries = 40)
    void two_revisions_migrated_apart_differ_where_they_differed(@ForAll @IntRange(min = 1, max = 28) int day) {
        JsonNode a = tree(operation("sow", "c1", "\"system\":\"full-width\""));
        JsonNode b = tree(operation("sow", "c1", "\"system\":\"full-width\"")
                .replace("2027-05-10", "2027-06-%02d".formatted(day)));
        assertThat(Differences.between(a, a)).isEmpty();
        assertThat(Differences.between(a, b))
                .singleElement()
                .satisfies(d -> assertThat(d.path()).containsExactly("operations", "o-sow-c1", "when", "on"));
    }

    private static JsonNode tree(String operations) {
        return new PlanReader(Plans.KNOWLEDGE).upToDate(Json.tree(FIRST.formatted(operations)));
    }

    @Test
    void ids_stay_apart_and_within_bounds_whatever_was_there() {
        String longest = "s".repeat(64);
        PlanDocument plan = read(operation("sow", "c1", "\"system\":\"strip-till\"")
                        .replace("o-sow-c1", longest)
                + ",{\"id\":\"" + "s".repeat(55) + "-12345678\",\"kind\":\"pass\",\"when\":{\"on\":\"2027-04-01\"},"
                + "\"params\":{\"operation\":\"rotary-hoe\"}}");
        List<String> ids = plan.operations().stream().map(Operation::id).toList();
        assertThat(ids).doesNotHaveDuplicates().allMatch(i -> i.length() <= 64);
    }

    @Test
    void what_is_migrated_is_written_as_version_2_and_read_again_the_same() {
        PlanDocument plan = Plans.read(Plans.text()).plan();
        String written = Json.write(plan);
        assertThat(Json.tree(written).path("schemaVersion").asInt()).isEqualTo(2);
        assertThat(new PlanReader(Plans.KNOWLEDGE).read(written)).isEqualTo(plan);
        assertThat(StreamSupport.stream(Json.tree(written).path("operations").spliterator(), false))
                .noneMatch(o -> o.has("params"));
        assertThat(new PlanReader(Plans.KNOWLEDGE).upToDate(written)).isEqualTo(written);
    }

    @Test
    void a_zone_that_was_carried_and_never_read_is_dropped_and_a_bad_document_is_refused() {
        ObjectNode sow = (ObjectNode) Json.tree(operation("sow", "c1", ""));
        sow.put("zone", "some-polygon");
        assertThat(first(sow.toString()).zone()).isEmpty();
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> read(operation("sow", "c1", "\"colour\":1")))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("colour");
    }
}
