package app.etlo.core.plan.shown;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.plan.DemoPlans;
import app.etlo.core.plan.FiguresShown;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.shown.ChapterViews.MixChapterView;
import app.etlo.core.plan.shown.ChapterViews.RateView;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.plan.shown.WorkingView.InputView;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.working.Figure;
import app.etlo.core.working.OtherEvaluator;
import java.io.IOException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What the screen shows of the demo's plans, computed again by hand from the digits shown; exp4j does the arithmetic. */
class WorkingsShownTest {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.UK);

    @ParameterizedTest
    @EnumSource
    void every_working_of_the_demo_gives_its_result_from_what_is_shown(UnitSystem units) throws Exception {
        int worked = 0;
        for (Evaluated e : DemoPlans.evaluated(units)) {
            FigureTexts texts = FigureTexts.of(e);
            Map<String, FigureView> shown = FiguresShown.of(EvaluationWriter.write(e));
            for (Figure f : e.figures().values()) {
                WorkingView w = WorkingView.of(f, e, texts);
                String name = e.plan().id() + " " + f.id();
                assertThat(again(w, f.unit())).as(name).isEqualTo(w.resultText());
                if (shown.containsKey(f.id())) {
                    assertThat(w.figure().text())
                            .as(name)
                            .isEqualTo(shown.get(f.id()).text());
                }
                worked++;
            }
        }
        assertThat(worked).isGreaterThan(1000);
    }

    private static String again(WorkingView w, Unit unit) {
        Map<String, Double> inputs = new HashMap<>();
        w.inputs().forEach(i -> inputs.put(i.symbol(), number(i.text())));
        double v = OtherEvaluator.value(w.expression(), inputs);
        if (unit == Unit.DATE) {
            return Shown.text(v, unit);
        }
        int point = w.resultText().indexOf('.');
        return Shown.plain(v, point < 0 ? 0 : w.resultText().length() - point - 1);
    }

    private static double number(String text) {
        String plain = text.replace("\u202f", "").replace('\u2212', '-');
        return plain.matches(".*[a-z].*") ? LocalDate.parse(plain, DAY).toEpochDay() : Double.parseDouble(plain);
    }

    @ParameterizedTest
    @EnumSource
    void the_lines_of_a_sum_add_up_to_it(UnitSystem units) throws IOException {
        int sums = 0;
        for (Evaluated e : DemoPlans.evaluated(units)) {
            Evaluation shown = EvaluationWriter.write(e);
            for (MixChapterView mix : shown.mix().values()) {
                for (Sum of : sums(mix)) {
                    List<FigureView> lines = of.lines();
                    FigureView total = of.total();
                    if (lines.size() < 2) {
                        continue;
                    }
                    double sum =
                            lines.stream().mapToDouble(f -> number(f.text())).sum();
                    assertThat(Shown.plain(sum, 6)).as(total.id()).isEqualTo(Shown.plain(number(total.text()), 6));
                    sums++;
                }
            }
        }
        assertThat(sums).isGreaterThan(20);
    }

    private record Sum(FigureView total, List<FigureView> lines) {}

    private static List<Sum> sums(MixChapterView mix) {
        return mix.sum().stream()
                .flatMap(s -> Stream.of(
                        new Sum(
                                s.bulk(),
                                mix.rates().stream().map(RateView::fieldBulk).toList()),
                        new Sum(
                                s.seeds(),
                                mix.rates().stream().map(RateView::fieldSeeds).toList()),
                        new Sum(
                                s.cost().orElse(s.bulk()),
                                s.cost().isEmpty()
                                        ? List.<FigureView>of()
                                        : mix.rates().stream()
                                                .flatMap(r -> r.cost().stream())
                                                .toList())))
                .toList();
    }

    @ParameterizedTest
    @EnumSource
    void workings_speak_the_units_of_the_farm(UnitSystem units) throws IOException {
        List<String> foreign = units == UnitSystem.US
                ? List.of("kg/ha", "t/ha", "ha", "mm", "cm", "kg", "/m²")
                : List.of("lb/ac", "ton/ac", "ac", "in", "lb", "/ft²");
        for (Evaluated e : DemoPlans.evaluated(units)) {
            FigureTexts texts = FigureTexts.of(e);
            for (Figure f : e.figures().values()) {
                for (InputView i : WorkingView.of(f, e, texts).inputs()) {
                    assertThat(foreign.contains(i.unit()) && i.also().isEmpty())
                            .as(f.id() + " " + i.symbol() + " in " + i.unit())
                            .isFalse();
                }
            }
        }
    }
}
