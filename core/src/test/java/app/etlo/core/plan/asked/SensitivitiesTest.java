package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.ground.GroundVariation;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.asked.Sensitivities.Move;
import app.etlo.core.plan.asked.Sensitivities.SensitivityView;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Dossier;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** One input at a time: what must move a figure moves it, in the direction it must, and what cannot does not. */
class SensitivitiesTest {
    /** Some thirty plans worked out, for all tests. */
    private static final Sensitivities OF_PLAN = sensitivities("cereal-rye", "hairy-vetch");

    private static Sensitivities sensitivities(String... species) {
        Dossier d = Plans.read(FieldPlans.of()
                .crop("winter-wheat", "2026-10-01", "2027-07-20")
                .crop("grain-corn", "2028-05-10", "2028-10-15")
                .coverWithAims("v1", "before", "c2", List.of("mulch"), species)
                .operation("sow", "v1", "2027-08-25", "\"method\":\"drilled\"")
                .operation("end", "v1", "2028-05-08", "\"method\":\"burndown\"")
                .text());
        return new Sensitivities(new Evaluator(Plans.KNOWLEDGE), d.plan(), d.context(), FieldPlans.AS_OF);
    }

    private static synchronized Optional<SensitivityView> of(String figure) {
        return OF_PLAN.of(figure);
    }

    private static Move move(SensitivityView v, String input) {
        return v.moves().stream()
                .filter(m -> m.input().equals(input))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void what_a_cover_weighs_hangs_on_light_nitrogen_and_its_day() {
        SensitivityView v = of("grow/v1/mass").orElseThrow();
        assertThat(v.moves()).hasSize(14);
        Move light = move(v, "use of light");
        assertThat(light.high()).isGreaterThan(light.low());
        Move humus = move(v, "nitrogen from humus");
        assertThat(humus.high()).isGreaterThan(humus.low());
        assertThat(move(v, "day of sowing").low())
                .isNotEqualTo(move(v, "day of sowing").high());
        // widest first
        for (int i = 1; i < v.moves().size(); i++) {
            Move wide = v.moves().get(i - 1);
            Move narrow = v.moves().get(i);
            assertThat(Math.abs(wide.high() - wide.low()))
                    .isGreaterThanOrEqualTo(Math.abs(narrow.high() - narrow.low()));
        }
        assertThat(v.confidence()).isEqualTo(Sensitivities.Confidence.MEDIUM);
    }

    @Test
    void more_rain_leaves_more_nitrogen_to_leach() {
        Move rain = move(of("grow/leached").orElseThrow(), "rain of the field");
        assertThat(rain.high()).isGreaterThanOrEqualTo(rain.low());
    }

    /** What can only do one thing to the nitrogen in the tops of a stand without legumes does it, in every climate. */
    @Test
    void more_nitrogen_never_gives_less_in_the_tops() {
        for (String place : List.of("tarrow-ridge 43", "isk-harbour 52.3", "lowmarl 33")) {
            String[] at = place.split(" ");
            Dossier d = Plans.read(FieldPlans.of()
                    .field("\"station\":\"" + at[0] + "\",\"point\":{\"lat\":" + at[1] + ",\"lon\":-30}")
                    .crop("winter-wheat", "2026-10-10", "2027-07-20")
                    .crop("grain-corn", "2028-05-10", "2028-10-15")
                    .coverWithAims("v1", "before", "c2", List.of("mulch"), "cereal-rye")
                    .operation("sow", "v1", "2027-09-05", "\"method\":\"drilled\"")
                    .operation("end", "v1", "2028-04-28", "\"method\":\"burndown\"")
                    .text());
            double middle = nitrogen(d, GroundVariation.NONE);
            for (GroundVariation less :
                    List.of(GroundVariation.humus(0.7), GroundVariation.nitrate(0.5), GroundVariation.fed(0.75))) {
                assertThat(nitrogen(d, less)).as(place).isLessThanOrEqualTo(middle * 1.001);
            }
            for (GroundVariation more :
                    List.of(GroundVariation.humus(1.3), GroundVariation.nitrate(1.6), GroundVariation.fed(1.25))) {
                assertThat(nitrogen(d, more)).as(place).isGreaterThanOrEqualTo(middle * 0.999);
            }
        }
    }

    private static double nitrogen(Dossier d, GroundVariation v) {
        return new Evaluator(Plans.KNOWLEDGE)
                .evaluate(d.plan(), d.context(), FieldPlans.AS_OF, v)
                .figures()
                .get("grow/v1/nitrogen")
                .middle();
    }

    /** What a burndown leaves of vetch stands beside the corn: half as much of it, and the corn is no lighter. */
    @Test
    void what_an_end_leaves_alive_takes_from_the_next_crop() {
        Move alive = move(of("grow/c2/cropMass").orElseThrow(), "what an end leaves alive");
        assertThat(alive.low()).isGreaterThanOrEqualTo(alive.high());
        Move seed = move(of("grow/v1/mass").orElseThrow(), "seed of the cover");
        assertThat(seed.high()).isGreaterThan(seed.low());
    }

    /** A figure without a band says nothing of how far it can be off. */
    @Test
    void a_figure_without_a_band_is_never_sure() {
        List<SensitivityView> all = Stream.of("grow/lowestCover", "grow/start/mineralN", "grow/v1/mass")
                .flatMap(id -> of(id).stream())
                .toList();
        assertThat(all).anyMatch(v -> v.figure().lowValue().isEmpty());
        assertThat(all)
                .filteredOn(v -> v.figure().lowValue().isEmpty())
                .allMatch(v -> v.confidence() == Sensitivities.Confidence.LOW);
    }

    @Test
    void a_figure_that_is_not_simulated_has_none() {
        assertThat(of("field/area")).isEmpty();
        assertThat(of("grow/nothing/mass")).isEmpty();
    }

    /** The same width of band is told as less sure where the numbers of the plants were derived and tuned on nothing. */
    @Test
    void how_sure_looks_at_where_the_numbers_of_the_plants_come_from() {
        SensitivityView less =
                sensitivities("winter-triticale").of("grow/v1/mass").orElseThrow();
        SensitivityView more = of("grow/v1/mass").orElseThrow();
        assertThat(less.because()).contains("tuned on nothing");
        assertThat(more.because()).doesNotContain("tuned on nothing");
        assertThat(more.confidence()).isEqualTo(Sensitivities.Confidence.MEDIUM);
        assertThat(less.confidence()).isEqualTo(Sensitivities.Confidence.LOW);
    }
}
