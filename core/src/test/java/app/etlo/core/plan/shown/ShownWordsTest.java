package app.etlo.core.plan.shown;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.plan.DemoPlans;
import app.etlo.core.plan.FiguresShown;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.shown.Evaluation.NoteView;
import app.etlo.core.quantity.UnitSystem;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Every sentence and label of the demo's plans, as a reader of a farm in either system of units meets them. */
class ShownWordsTest {
    /** One of a thing is not several, and the words of a translation are not the trade's. */
    private static final Pattern CLUMSY =
            Pattern.compile("(?<![\\d.,])1 (days|years|weeks|months|bags|fields|boxes|lots|cuts|passes|species are)\\b"
                    + "|\\b(reckon\\w*|anew|dear|told|tells)\\b|\\{\\w+}|\\bnull\\b|\\bNaN\\b|\\d\\.\\d{5,}");

    private static final Map<UnitSystem, Pattern> FOREIGN = Map.of(
            UnitSystem.US,
            Pattern.compile("\\d ?(t/ha|kg/ha|cm|mm|m|°C|ha|kg|km/h)\\b|\\d ?/m²|\\b(a|per) hectare|€"),
            UnitSystem.METRIC,
            Pattern.compile("\\d ?(ton/ac|lb/ac|ft|in|°F|ac|lb|mph|bu/ac)\\b|\\d ?/ft²|\\b(an|per) acre"));

    @ParameterizedTest
    @EnumSource
    void are_plain_and_in_the_units_of_the_farm(UnitSystem units) throws IOException {
        int read = 0;
        for (Evaluated e : DemoPlans.evaluated(units)) {
            for (String words : sentences(EvaluationWriter.write(e))) {
                assertThat(words).as(e.plan().id()).doesNotContainPattern(CLUMSY);
                assertThat(words).as(e.plan().id()).doesNotContainPattern(FOREIGN.get(units));
                read++;
            }
        }
        assertThat(read).isGreaterThan(200);
    }

    private static List<String> sentences(Evaluation e) {
        List<String> all = new ArrayList<>();
        for (NoteView n : e.notes()) {
            all.add(n.text());
            all.add(n.about());
            all.add(n.wouldChange());
            all.addAll(n.facts());
        }
        FiguresShown.of(e).values().forEach(f -> {
            all.add(f.label());
            all.add(f.text() + " " + f.unit());
        });
        e.calendar().forEach(d -> {
            all.add(d.what());
            all.add(d.because());
        });
        return all;
    }
}
