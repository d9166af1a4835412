package app.etlo.core.plan.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.working.Figure;
import org.junit.jupiter.api.Test;

/** A plan begins with what the crop before it left. */
class CropBeforeTest {
    private static Evaluated after(String more) {
        return FieldPlans.of()
                .field("\"station\":\"tarrow-ridge\",\"point\":{\"lat\":43,\"lon\":-30},\"texture\":\"silt loam\","
                        + "\"organicMatterPercent\":3" + more)
                .crop("soybean", "2027-05-15", "2027-09-28")
                .evaluated();
    }

    private static String history(String crop, int year) {
        return ",\"history\":[{\"year\":2023,\"crop\":\"soybean\"},{\"year\":" + year + ",\"crop\":\"" + crop + "\"}]";
    }

    private static double nitrate(Evaluated e) {
        return e.rotation().startNitrogen().orElseThrow().middle();
    }

    private static double cover(Evaluated e) {
        return e.crops().get(0).grow().residueCover().map(Figure::middle).orElseThrow();
    }

    @Test
    void without_a_history_it_begins_with_an_ordinary_stubble_and_bare() {
        Evaluated e = after("");
        assertThat(nitrate(e)).isCloseTo(56, within(1e-9));
        assertThat(e.rotation().startResidue()).isEmpty();
        assertThat(cover(e)).isLessThan(5);
        assertThat(nitrate(after(history("a crop of no library", 2026)))).isCloseTo(56, within(1e-9));
    }

    /** Corn stalks still cover seven tenths and more next May. */
    @Test
    void after_corn_its_stalks_lie_there_and_little_nitrate() {
        Evaluated e = after(history("Grain corn", 2026));
        assertThat(nitrate(e)).isCloseTo(50, within(1e-9));
        assertThat(e.rotation().startResidue().orElseThrow().middle()).isBetween(7000.0, 9500.0);
        assertThat(cover(e)).isBetween(65.0, 98.0);
    }

    @Test
    void silage_leaves_little_and_a_crop_of_long_ago_says_nothing() {
        assertThat(cover(after(history("silage-corn", 2026)))).isLessThan(30);
        assertThat(after(history("grain-corn", 2024)).rotation().startResidue()).isEmpty();
    }

    /** 12 mg/kg to 60 cm is 97 kg/ha in a soil of usual density. */
    @Test
    void a_soil_test_of_these_weeks_goes_before() {
        String test =
                ",\"soilTests\":[{\"date\":\"2027-04-20\",\"nitrateMgKg\":12,\"depth\":{\"value\":60,\"unit\":\"cm\"}}]";
        assertThat(nitrate(after(history("grain-corn", 2026) + test))).isCloseTo(97.2, within(0.1));
        String old = test.replace("2027-04-20", "2026-10-20");
        assertThat(nitrate(after(history("grain-corn", 2026) + old))).isCloseTo(50, within(1e-9));
    }
}
