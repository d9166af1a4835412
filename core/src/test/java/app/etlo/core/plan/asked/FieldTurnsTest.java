package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.asked.FieldTurn.ForStock;
import app.etlo.core.plan.asked.FieldTurns.Turn;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.quantity.UnitSystem;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Which field first: what drinks most in a dry spring, what is fit in a wet one, what has fence and water for stock. */
class FieldTurnsTest {
    private static FieldTurn turn(String id, double drinks, double fit, Optional<ForStock> stock) {
        return new FieldTurn(
                id,
                id,
                "Cereal rye",
                LocalDate.of(2027, 4, 20),
                "soybean",
                LocalDate.of(2027, 5, 10),
                drinks,
                2,
                fit,
                stock,
                UnitSystem.US);
    }

    private static final FieldTurns TURNS = FieldTurns.of(List.of(
            turn("far", 5, 9, Optional.of(new ForStock(true, true, Optional.of(6.0)))),
            turn("near", 40, 2, Optional.of(new ForStock(true, true, Optional.of(1.609344)))),
            turn("open", 20, 5, Optional.of(new ForStock(false, true, Optional.of(0.2)))),
            turn("mulch", 0, 7, Optional.empty())));

    @Test
    void the_thirstiest_cover_is_ended_first_in_a_dry_spring_and_the_fit_ground_planted_first_in_a_wet_one() {
        assertThat(TURNS.dry()).extracting(Turn::field).containsExactly("near", "open", "far", "mulch");
        assertThat(TURNS.wet()).extracting(Turn::field).containsExactly("far", "mulch", "open", "near");
        assertThat(TURNS.dry().get(0).why())
                .isEqualTo("living until then it takes 1.6 in from the crop; the seed zone is dry in 2 of 10 years");
        assertThat(TURNS.dry().get(3).why()).startsWith("it costs the crop no water");
        assertThat(TURNS.wet().get(0).on()).isEqualTo(LocalDate.of(2027, 5, 10));
    }

    @Test
    void stock_go_where_fence_and_water_are_the_nearest_first() {
        assertThat(TURNS.graze()).extracting(Turn::field).containsExactly("near", "far", "open");
        assertThat(TURNS.graze().get(0).why()).isEqualTo("fenced, water, 1 mi from the stock");
        assertThat(TURNS.graze().get(2).why()).startsWith("no fence entered, water, 0.12 mi");
    }

    /** From a plan: rye that is ended late leaves less water than rye that is ended early. */
    @Test
    void a_later_end_drinks_more() {
        FieldTurn early = FieldTurn.of(rye("2027-04-10")).orElseThrow();
        FieldTurn late = FieldTurn.of(rye("2027-05-15")).orElseThrow();
        assertThat(late.drinksMm()).isGreaterThan(early.drinksMm());
        assertThat(late.fitDaysOfTen()).isBetween(0.0, 10.0);
        assertThat(late.grazing()).isEmpty();
        assertThat(late.crop()).isEqualTo("soybean");
        assertThat(FieldTurn.of(FieldPlans.of()
                        .crop("soybean", "2027-05-20", "2027-10-15")
                        .evaluated()))
                .isEmpty();
    }

    private static Evaluated rye(String ended) {
        return FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"point\":{\"lat\":41,\"lon\":-89}")
                .crop("winter-wheat", "2025-10-04", "2026-07-18")
                .crop("soybean", "2027-05-20", "2027-10-15")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .operation("sow", "v1", "2026-09-10", "\"method\":\"drilled\"")
                .operation("end", "v1", ended, "\"method\":\"burndown\"")
                .evaluated(LocalDate.of(2026, 12, 1));
    }
}
