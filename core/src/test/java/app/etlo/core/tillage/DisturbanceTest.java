package app.etlo.core.tillage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The soil tillage intensity rating, each value computed by hand from the published product of five factors. */
class DisturbanceTest {
    private static final Knowledge KNOWLEDGE = KnowledgeLoader.shipped();
    private static final LocalDate DAY = LocalDate.of(2027, 5, 1);

    private static Pass pass(String operation) {
        return Pass.usual(operation, DAY, KNOWLEDGE.operations().get(operation));
    }

    private static double rating(Pass p) {
        return DisturbanceRating.of("plant/c", p).middle();
    }

    /** Speed mph, type weight, depth in, share: 0.5 x speed x 3.25 x type x depth x share. */
    @ParameterizedTest
    @CsvSource({
        "mouldboard-plough, 65.0",
        "chisel-plough, 41.6",
        "tandem-disc, 32.5",
        "field-cultivator, 31.2",
        "no-till-planter, 2.4375",
        "no-till-drill, 2.925",
        "sprayer, 0",
        "broadcast-spreader, 0",
    })
    void usual_passes(String operation, double byHand) {
        assertThat(rating(pass(operation))).isCloseTo(byHand, within(1e-9));
    }

    @Test
    void what_is_typed_wins_over_the_library() {
        Pass p = new Pass(
                "x",
                DAY,
                KNOWLEDGE.operations().get("tandem-disc"),
                Optional.of(new Quantity(6.437376, Unit.KM_PER_H)),
                Optional.of(new Quantity(7.62, Unit.CENTIMETRE)),
                Optional.of(0.5));
        // 4 mph, 3 in, half the ground: 0.5 x 4 x 3.25 x 0.8 x 3 x 0.5
        assertThat(rating(p)).isCloseTo(7.8, within(1e-9));
        assertThat(DisturbanceRating.of("plant/c", p).working().inputs())
                .filteredOn(i -> i.origin().id().equals("entered"))
                .extracting(i -> i.symbol())
                .containsExactlyInAnyOrder("speed", "depth", "share");
    }

    @Property
    void deeper_faster_and_wider_never_disturb_less(
            @ForAll @DoubleRange(min = 1, max = 40) double cm,
            @ForAll @DoubleRange(min = 1, max = 15) double kmh,
            @ForAll @DoubleRange(min = 0.05, max = 0.9) double share) {
        var disc = KNOWLEDGE.operations().get("tandem-disc");
        double base = rating(new Pass("x", DAY, disc, speed(kmh), depth(cm), Optional.of(share)));
        assertThat(rating(new Pass("x", DAY, disc, speed(kmh), depth(cm + 1), Optional.of(share))))
                .isGreaterThan(base);
        assertThat(rating(new Pass("x", DAY, disc, speed(kmh + 1), depth(cm), Optional.of(share))))
                .isGreaterThan(base);
        assertThat(rating(new Pass("x", DAY, disc, speed(kmh), depth(cm), Optional.of(share + 0.1))))
                .isGreaterThan(base);
    }

    private static Optional<Quantity> speed(double kmh) {
        return Optional.of(new Quantity(kmh, Unit.KM_PER_H));
    }

    private static Optional<Quantity> depth(double cm) {
        return Optional.of(new Quantity(cm, Unit.CENTIMETRE));
    }

    @Property
    void the_sum_is_the_sum_in_any_order(@ForAll @IntRange(min = 0, max = 8) int n) {
        List<Figure> ratings = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            ratings.add(DisturbanceRating.of(
                    "p",
                    pass(List.copyOf(KNOWLEDGE.operations().byId().keySet()).get(i * 3))));
        }
        double sum = DisturbanceRating.sum("p", ratings).middle();
        Collections.reverse(ratings);
        assertThat(DisturbanceRating.sum("p", ratings).middle()).isCloseTo(sum, within(1e-9));
        assertThat(sum).isCloseTo(ratings.stream().mapToDouble(Figure::middle).sum(), within(1e-9));
    }

    @Test
    void strips_disturb_their_width_of_the_row() {
        // 10 in strips on 30 in rows are a third, in whatever units they are typed
        assertThat(StripShare.of("p", new Quantity(10, Unit.INCH), new Quantity(76.2, Unit.CENTIMETRE))
                        .middle())
                .isCloseTo(100.0 / 3, within(1e-9));
        Pass strip = new Pass(
                "s",
                DAY,
                KNOWLEDGE.operations().get("strip-till-unit"),
                Optional.empty(),
                Optional.empty(),
                Optional.of(0.25));
        assertThat(StripShare.ofPlanting("p", List.of(strip, pass("no-till-planter")))
                        .middle())
                .isEqualTo(25);
    }

    @Test
    void residue_follows_the_definition_of_the_harvest_index() {
        // wheat 6 t/ha at 13.5 % water and harvest index 0.45: 6000 x 0.865 x 0.55 / 0.45
        var wheat = KNOWLEDGE.crops().get("winter-wheat");
        var goal = Optional.of(new Quantity(6, Unit.T_PER_HA));
        assertThat(HarvestResidue.of("p", wheat, goal, Optional.empty(), HarvestCut.USUAL)
                        .orElseThrow()
                        .middle())
                .isCloseTo(6000 * 0.865 * 0.55 / 0.45, within(1e-9));
        // tops of 14 t/ha as simulated leave what is not grain; a yield that is typed takes their place
        Figure tops = Formula.of("Tops", "value", Source.own("made up"), "value")
                .figure(
                        "grow/p/cropMass",
                        "Tops",
                        Unit.T_PER_HA,
                        Input.of("value", "Tops", 14, Unit.T_PER_HA, Origin.FORECAST, "made up"));
        Figure simulated = HarvestResidue.of("p", wheat, Optional.empty(), Optional.of(tops), HarvestCut.USUAL)
                .orElseThrow();
        assertThat(simulated.in(Unit.T_PER_HA)).isCloseTo(14 * 0.55, within(1e-9));
        assertThat(simulated.origin()).isEqualTo(Origin.FORECAST);
        assertThat(HarvestResidue.of("p", wheat, goal, Optional.of(tops), HarvestCut.USUAL)
                        .orElseThrow()
                        .middle())
                .isCloseTo(6000 * 0.865 * 0.55 / 0.45, within(1e-9));
        assertThat(HarvestResidue.of(
                        "p", KNOWLEDGE.crops().get("potato"), Optional.empty(), Optional.empty(), HarvestCut.USUAL))
                .isEmpty();
    }

    /** Wheat 95 cm high cut at 19: a fifth of the height to the power 0.75 stands, three tenths; half of the rest goes with the straw. */
    @Test
    void straw_taken_leaves_less_and_stubble_follows_the_header() {
        var wheat = KNOWLEDGE.crops().get("winter-wheat");
        HarvestCut cut = new HarvestCut(Optional.of(19.0), 0.5);
        double stands = Math.pow(0.2, 0.75);
        assertThat(cut.standing(wheat)).isCloseTo(stands, within(1e-12)).isBetween(0.28, 0.32);
        assertThat(cut.taken(wheat)).isCloseTo((1 - stands) / 2, within(1e-12));
        assertThat(cut.standingOfLeft(wheat)).isCloseTo(stands / (1 - (1 - stands) / 2), within(1e-12));
        var goal = Optional.of(new Quantity(6, Unit.T_PER_HA));
        assertThat(HarvestResidue.of("p", wheat, goal, Optional.empty(), cut)
                        .orElseThrow()
                        .middle())
                .isCloseTo(6000 * 0.865 * 0.55 / 0.45 * (1 - (1 - stands) / 2), within(1e-9));
        // cut at its whole height all stands, and there is nothing to take
        assertThat(new HarvestCut(Optional.of(150.0), 1).taken(wheat)).isZero();
        // all that lies is taken: what stays stands
        assertThat(new HarvestCut(Optional.of(10.0), 1).standingOfLeft(wheat)).isCloseTo(1, within(1e-12));
    }

    @Test
    void each_number_of_a_rating_says_whether_it_was_typed() {
        Pass typed = new Pass(
                "x", DAY, KNOWLEDGE.operations().get("tandem-disc"), speed(8), Optional.empty(), Optional.empty());
        assertThat(DisturbanceRating.of("p", typed).working().inputs())
                .filteredOn(i -> i.symbol().equals("speed"))
                .singleElement()
                .satisfies(i -> assertThat(i.from()).isEqualTo("typed"));
        assertThat(DisturbanceRating.of("p", typed).working().inputs())
                .filteredOn(i -> i.symbol().equals("depth"))
                .singleElement()
                .satisfies(i -> assertThat(i.from())
                        .isEqualTo(typed.operation().source().text())
                        .isNotEmpty());
    }

    /** The strip that was typed, not the planter of the library that runs in it, and which of the two it is. */
    @Test
    void the_widest_pass_of_a_planting_counts_and_says_where_its_share_is_from() {
        Pass strip = new Pass(
                "s",
                DAY,
                KNOWLEDGE.operations().get("strip-till-unit"),
                Optional.empty(),
                Optional.empty(),
                Optional.of(0.4));
        for (List<Pass> order :
                List.of(List.of(strip, pass("no-till-planter")), List.of(pass("no-till-planter"), strip))) {
            Figure f = StripShare.ofPlanting("p", order);
            assertThat(f.middle()).isEqualTo(40);
            assertThat(f.working().inputs().get(0).from()).isEqualTo("strip over row");
            assertThat(f.working().inputs().get(0).origin()).isEqualTo(Origin.ENTERED);
        }
        Figure library = StripShare.ofPlanting("p", List.of(pass("no-till-planter")));
        assertThat(library.working().inputs().get(0).origin()).isEqualTo(Origin.LIBRARY);
        assertThat(library.working().inputs().get(0).from())
                .isEqualTo(
                        KNOWLEDGE.operations().get("no-till-planter").source().text());
    }

    @Test
    void what_a_goal_was_typed_for_is_told_from_the_usual_yield() {
        var wheat = KNOWLEDGE.crops().get("winter-wheat");
        Figure typed = HarvestResidue.of(
                        "p", wheat, Optional.of(new Quantity(6, Unit.T_PER_HA)), Optional.empty(), HarvestCut.USUAL)
                .orElseThrow();
        Figure usual = HarvestResidue.of("p", wheat, Optional.empty(), Optional.empty(), HarvestCut.USUAL)
                .orElseThrow();
        assertThat(typed.working().inputs().get(0).origin()).isEqualTo(Origin.ENTERED);
        assertThat(typed.working().inputs().get(0).from()).isEqualTo("yield goal");
        assertThat(usual.working().inputs().get(0).origin()).isEqualTo(Origin.DEFAULT);
        assertThat(usual.working().inputs().get(0).from()).isEqualTo("usual yield");
    }

    /** A figure that a result does not list is shown nowhere. */
    @Test
    void a_result_lists_all_its_figures() {
        Figure rating = DisturbanceRating.of("p", pass("no-till-planter"));
        PlantResult all = new PlantResult(
                Map.of("x", rating),
                Optional.of(DisturbanceRating.sum("p", List.of(rating))),
                Optional.of(StripShare.ofPlanting("p", List.of(pass("no-till-planter")))),
                Optional.of(StripShare.of("p", new Quantity(10, Unit.INCH), new Quantity(30, Unit.INCH))),
                HarvestResidue.of(
                        "p",
                        KNOWLEDGE.crops().get("winter-wheat"),
                        Optional.empty(),
                        Optional.empty(),
                        HarvestCut.USUAL));
        assertThat(all.figures())
                .extracting(Figure::id)
                .containsExactly(rating.id(), "p/rating", "p/disturbed", "p/stripShare", "p/residue");
    }
}
