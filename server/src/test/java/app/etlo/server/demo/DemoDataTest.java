package app.etlo.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Context.FarmEntry;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.plan.shown.Evaluation;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.rotation.WindowKind;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** The made-up valley: farms of different kinds and their fields, all of which can be read and worked out in any year. */
class DemoDataTest {
    private static final Knowledge KNOWLEDGE = KnowledgeLoader.shipped();

    private static List<Dossier> valley(int year) throws IOException {
        List<Dossier> found = new ArrayList<>();
        for (Resource r : new PathMatchingResourcePatternResolver().getResources("classpath:demo/*.json")) {
            found.add(Dossier.read(
                    DemoData.shifted(r.getContentAsString(StandardCharsets.UTF_8), year),
                    new PlanReader(KNOWLEDGE),
                    KNOWLEDGE));
        }
        return found;
    }

    @Test
    void farms_of_different_kinds_on_both_halves_of_the_earth() throws IOException {
        List<Dossier> valley = valley(2026);
        assertThat(valley).hasSize(20);
        Set<FarmEntry> farms = valley.stream().map(d -> d.context().farm()).collect(Collectors.toSet());
        assertThat(farms).hasSize(4);
        assertThat(farms).extracting(FarmEntry::units).contains(UnitSystem.METRIC, UnitSystem.US);
        assertThat(valley.stream().map(d -> d.context().field().id()).distinct())
                .hasSize(20);
        assertThat(valley)
                .anyMatch(d -> d.context().field().point().map(p -> p.lat() < 0).orElse(false));
    }

    @Test
    void every_field_is_worked_out_in_leap_years_too() throws IOException {
        for (int year : new int[] {2026, 2027, 2028}) {
            for (Dossier d : valley(year)) {
                Evaluation e = EvaluationWriter.write(
                        new Evaluator(KNOWLEDGE).evaluate(d.plan(), d.context(), LocalDate.of(year, 11, 25)));
                assertThat(e.field()).as(d.context().field().name()).isPresent();
                assertThat(e.section().orElseThrow().stands())
                        .as(d.context().field().name())
                        .isNotEmpty();
            }
        }
    }

    @Test
    void every_kind_of_window_is_shown_with_a_cover_in_it() throws IOException {
        Set<WindowKind> shown = new HashSet<>();
        for (Dossier d : valley(2026)) {
            new Evaluator(KNOWLEDGE)
                    .evaluate(d.plan(), d.context(), LocalDate.of(2026, 11, 25)).covers().stream()
                            .flatMap(c -> c.window().stream())
                            .forEach(w -> shown.add(w.kind()));
        }
        assertThat(shown).containsExactlyInAnyOrder(WindowKind.values());
    }

    @Test
    void no_field_of_the_valley_says_what_is_impossible() throws IOException {
        for (Dossier d : valley(2026)) {
            assertThat(new Evaluator(KNOWLEDGE)
                            .evaluate(d.plan(), d.context(), LocalDate.of(2026, 11, 25))
                            .notes())
                    .as(d.context().field().name())
                    .noneMatch(n -> n.rule().equals("dates-out-of-order")
                            || n.rule().equals("sown-outside-window")
                            || n.rule().equals("number-doubtful"));
        }
    }

    @Test
    void the_valley_lies_where_no_land_is() throws IOException {
        // the middle of the ocean: no real place is meant
        for (Dossier d : valley(2026)) {
            d.context().field().boundary().ifPresent(b -> {
                double lon = b.at("/coordinates/0/0/0").asDouble();
                double lat = b.at("/coordinates/0/0/1").asDouble();
                assertThat(lon).isBetween(-42.0, -35.0);
                assertThat(lat).isBetween(41.0, 51.0);
            });
        }
    }
}
