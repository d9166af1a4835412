package app.etlo.core.plan.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.working.Origin;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a field may hold, and that what is left out is computed with a default that says so. */
class FieldCheckTest {
    private static Evaluated with(String members) {
        return FieldPlans.of()
                .field(members)
                .crop("oats", "2027-04-01", "2027-07-30")
                .evaluated();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "\"point\":{\"lat\":91,\"lon\":0} | /context/field/point/lat",
                "\"station\":\"nowhere\" | /context/field/station",
                "\"slopePercent\":140 | /context/field/slopePercent",
                "\"penetrometer\":{\"value\":2,\"unit\":\"cm\"} | /context/field/penetrometer/unit",
                "\"layers\":[{\"depth\":{\"value\":30,\"unit\":\"cm\"}},{\"depth\":{\"value\":20,\"unit\":\"cm\"}}] | /context/field/layers/1/depth",
                "\"layers\":[{\"depth\":{\"value\":30,\"unit\":\"cm\"},\"sandPercent\":70,\"clayPercent\":40}] | /context/field/layers/0/clayPercent",
                "\"layers\":[{\"depth\":{\"value\":30,\"unit\":\"cm\"},\"sandPercent\":70}] | /context/field/layers/0/clayPercent",
                "\"weeds\":[{\"name\":\"\",\"pressure\":\"high\"}] | /context/field/weeds/0/name",
                "\"weeds\":[{\"name\":\"thistle\",\"pressure\":\"awful\"}] | /context/field/weeds/0/pressure",
                "\"residuals\":[{\"activeIngredient\":\"x\",\"appliedOn\":\"1850-01-01\"}] | /context/field/residuals/0/appliedOn",
                "\"soilTests\":[{\"date\":\"2026-01-01\",\"ph\":14}] | /context/field/soilTests/0/ph",
                "\"zones\":[{\"id\":\"z\",\"name\":\"z\",\"kind\":\"buffer\",\"outline\":{\"type\":\"Point\"}}] | /context/field/zones/0/outline",
                "\"certification\":\"magic\" | /context/field/certification",
                "\"equipment\":[{\"name\":\"x\",\"kind\":\"zeppelin\"}] | /context/field/equipment/0/kind",
                "\"coldHollowC\":40 | /context/field/coldHollowC"
            })
    void what_cannot_be_is_refused_at_its_place(String members, String pointer) {
        assertThatThrownBy(() -> with(members))
                .isInstanceOfSatisfying(
                        Refused.class,
                        r -> assertThat(r.problems()).anyMatch(p -> p.pointer().startsWith(pointer)));
    }

    @Test
    void a_field_of_which_nothing_is_known_is_computed_as_loam_and_says_default() {
        Evaluated e = with("\"point\":{\"lat\":43,\"lon\":0}");
        assertThat(e.figures().get("field/water").origin()).isEqualTo(Origin.DEFAULT);
        assertThat(e.figures().get("field/soil/1/fieldCapacity").origin()).isEqualTo(Origin.DEFAULT);
        assertThat(e.site().orElseThrow().origin()).isEqualTo(Origin.DEFAULT);
        assertThat(e.notes())
                .anyMatch(n -> n.rule().equals("weather-uncertain") && n.text().contains("No station is chosen"));
    }

    @Test
    void layers_that_are_entered_count_and_what_lies_below_them_is_a_default() {
        Evaluated e = with(
                "\"layers\":[{\"depth\":{\"value\":12,\"unit\":\"in\"},\"texture\":\"silt loam\",\"organicMatterPercent\":3}]");
        assertThat(e.soil().layers()).hasSize(2);
        assertThat(e.soil().layers().get(0).thicknessM())
                .isCloseTo(12 * 0.0254, org.assertj.core.api.Assertions.within(1e-12));
        assertThat(e.figures().get("field/soil/1/wiltingPoint").origin()).isEqualTo(Origin.ENTERED);
        assertThat(e.figures().get("field/soil/2/wiltingPoint").origin()).isEqualTo(Origin.DEFAULT);
    }

    @Test
    void a_cold_hollow_has_its_frost_earlier_in_autumn_and_later_in_spring() {
        String place = "\"station\":\"tarrow-ridge\",\"point\":{\"lat\":43,\"lon\":0}";
        var usual = with(place).frost().orElseThrow();
        var hollow = with(place + ",\"coldHollowC\":3").frost().orElseThrow();
        assertThat(hollow.firstAutumn()).isLessThan(usual.firstAutumn());
        assertThat(hollow.lastSpring()).isGreaterThan(usual.lastSpring());
    }

    @Test
    void frost_dates_that_are_typed_stand_before_those_of_the_weather() {
        var frost = with("\"station\":\"tarrow-ridge\",\"lastSpringFrost\":\"04-01\",\"firstAutumnFrost\":\"11-11\"")
                .frost()
                .orElseThrow();
        assertThat(frost.firstAutumn()).isEqualTo(java.time.MonthDay.of(11, 11));
    }
}
