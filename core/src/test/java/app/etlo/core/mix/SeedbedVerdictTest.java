package app.etlo.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.mix.SeedbedVerdict.Act;
import app.etlo.core.mix.SeedbedVerdict.Look;
import app.etlo.core.mix.SeedbedVerdict.Need;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Sow, wait or flush; a store that ages seed. */
class SeedbedVerdictTest {
    private static final LocalDate DAY = LocalDate.of(2027, 8, 10);

    private static Look look(Double heelCm, Boolean level, Double moistCm, Double weeds) {
        return new Look(
                DAY,
                Optional.ofNullable(heelCm),
                Optional.ofNullable(level),
                Optional.ofNullable(moistCm),
                Optional.ofNullable(weeds));
    }

    private static SeedbedVerdict verdict(Look look, LocalDate until, double dryPercent) {
        return SeedbedVerdict.of(look, new Need(1, 2, Optional.of(until), Optional.of(dryPercent), Optional.empty()));
    }

    @Test
    void a_clean_moist_firm_bed_is_sown() {
        SeedbedVerdict v = verdict(look(1.0, true, 1.0, 2.0), DAY.plusMonths(2), 30);
        assertThat(v.act()).isEqualTo(Act.SOW);
        assertThat(v.reasons()).singleElement().asString().contains("speaks against");
    }

    @Test
    void weeds_are_killed_first_while_the_window_lasts() {
        SeedbedVerdict v = verdict(look(1.0, true, 1.0, 60.0), DAY.plusMonths(2), 30);
        assertThat(v.act()).isEqualTo(Act.FLUSH);
        assertThat(v.flushes()).startsWith(DAY.plusDays(1));
        assertThat(v.leftPercent()).isCloseTo(70, within(1e-9));
        assertThat(v.reasons().get(0)).contains("still come");
        SeedbedVerdict late = verdict(look(1.0, true, 1.0, 60.0), DAY, 30);
        assertThat(late.act()).isEqualTo(Act.SOW);
        assertThat(late.flushes()).isEmpty();
        assertThat(late.reasons().get(0)).contains("no time for another flush");
    }

    @Test
    void seed_below_its_depth_of_moisture_waits_where_rain_often_fails() {
        assertThat(verdict(look(null, null, 5.0, null), DAY.plusMonths(2), 60).act())
                .isEqualTo(Act.WAIT);
        assertThat(verdict(look(null, null, 5.0, null), DAY.plusMonths(2), 20).act())
                .isEqualTo(Act.SOW);
    }

    @Test
    void loose_and_uneven_beds_are_told() {
        SeedbedVerdict v = verdict(look(4.0, false, null, null), DAY.plusMonths(2), 20);
        assertThat(v.act()).isEqualTo(Act.WAIT);
        assertThat(v.reasons()).hasSize(2).anyMatch(r -> r.contains("Not level"));
    }

    // Harrington's rules: life doubles per 1 % less moisture, and per 5 degrees cooler
    @Test
    void seed_ages_by_the_rules_of_harrington() {
        double good = SeedStorage.agesBy(Optional.of(15.0), Optional.of(12.0));
        assertThat(good).isEqualTo(1);
        assertThat(SeedStorage.agesBy(Optional.of(20.0), Optional.of(12.0))).isEqualTo(2);
        assertThat(SeedStorage.agesBy(Optional.of(15.0), Optional.of(11.0))).isEqualTo(0.5);
        assertThat(SeedStorage.agesBy(Optional.of(25.0), Optional.of(13.0))).isEqualTo(8);
        assertThat(SeedStorage.agesBy(Optional.empty(), Optional.empty())).isEqualTo(1);
    }
}
