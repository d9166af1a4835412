package app.etlo.core.field;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ResidualTest {
    private static final LocalDate DAY = LocalDate.of(2026, 5, 1);

    @Test
    void its_own_interval_goes_before_its_groups_and_that_before_the_one_for_all() {
        Residual r = new Residual(
                "a.i.", DAY, Optional.of(4.0), Map.of("cereal-rye", 0.0, "brassica", 18.0, Residual.FEEDING, 1.0));
        assertThat(r.safeFrom("cereal-rye", "cool-grass")).contains(DAY);
        assertThat(r.safeFrom("kale", "brassica")).contains(DAY.plusDays(548));
        assertThat(r.safeFrom("phacelia", "broadleaf")).contains(DAY.plusDays(122));
        assertThat(r.feedingFrom()).contains(DAY.plusDays(30));
    }

    @Test
    void what_is_not_typed_is_not_known() {
        Residual r = new Residual("a.i.", DAY, Optional.empty(), Map.of("brassica", 18.0));
        assertThat(r.safeFrom("cereal-rye", "cool-grass")).isEmpty();
        assertThat(r.feedingFrom()).isEmpty();
    }
}
