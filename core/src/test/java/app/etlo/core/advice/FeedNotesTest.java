package app.etlo.core.advice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Notes on nitrogen that say different things by what the plan feeds. */
class FeedNotesTest {
    private static Scene scene() {
        return Scene.empty()
                .crop("c1", "winter-wheat", "2025-10-05", "2026-07-20")
                .crop("c2", "grain-corn", "2027-05-12", "2027-10-20")
                .cover(new Scene.CoverScene().share("cereal-rye", 60).costing(0, 25));
    }

    private static List<String> texts(Scene s, String rule) {
        return Judgements.of(s.made()).stream()
                .filter(n -> n.rule().equals(rule))
                .map(Note::text)
                .toList();
    }

    @Test
    void an_early_gap_is_answered_by_what_is_planned_at_planting() {
        assertThat(texts(scene(), "nitrogen-short-early"))
                .singleElement()
                .asString()
                .endsWith("local rules.");
        assertThat(texts(scene().supplied("c2", 20, 60, 30), "nitrogen-short-early"))
                .singleElement()
                .asString()
                .contains("already takes it to be fed 60 kg/ha then, which nobody has planned");
        assertThat(texts(scene().supplied("c2", 20, 60, 30).planned("c2"), "nitrogen-short-early"))
                .isEmpty();
        assertThat(texts(scene().supplied("c2", 20, 20, 30).planned("c2"), "nitrogen-short-early"))
                .hasSize(1);
    }

    @Test
    void what_is_left_over_is_laid_to_the_soil_or_to_the_rate() {
        assertThat(texts(scene().supplied("c2", 50, 80, 70), "nitrate-not-tested"))
                .singleElement()
                .asString()
                .contains("before planting");
        assertThat(texts(scene().supplied("c2", 20, 80, 90), "nitrate-not-tested"))
                .singleElement()
                .asString()
                .contains("does not grow into that rate");
        assertThat(texts(scene().supplied("c2", 20, 80, 70), "nitrate-not-tested"))
                .isEmpty();
    }
}
