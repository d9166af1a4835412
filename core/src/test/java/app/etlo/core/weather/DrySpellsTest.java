package app.etlo.core.weather;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.mockito.Mockito;

/** Runs of dry days in weather that is given day by day. */
class DrySpellsTest {
    private static final LocalDate FROM = LocalDate.of(2027, 5, 1);

    private static YearsAhead rain(double[]... years) {
        YearsAhead y = Mockito.mock(YearsAhead.class);
        Mockito.when(y.count()).thenReturn(years.length);
        Mockito.when(y.days()).thenReturn(years[0].length);
        Mockito.when(y.day(FROM)).thenReturn(0);
        for (int m = 0; m < years.length; m++) {
            for (int d = 0; d < years[m].length; d++) {
                Mockito.when(y.rainMm(m, d)).thenReturn(years[m][d]);
            }
        }
        return y;
    }

    @Test
    void counts_years_in_which_the_run_begins_in_time() {
        YearsAhead y = rain(
                new double[] {0, 0, 0, 5, 5, 5},
                new double[] {5, 0, 0.9, 0, 5, 5},
                new double[] {5, 5, 0, 0, 5, 5},
                new double[] {5, 5, 5, 0, 0, 0});
        assertThat(DrySpells.yearsOfTen(y, FROM, 3, 0, 0)).isEqualTo(2.5);
        assertThat(DrySpells.yearsOfTen(y, FROM, 3, 0, 1)).isEqualTo(5);
        assertThat(DrySpells.yearsOfTen(y, FROM, 3, 0, 3)).isEqualTo(7.5);
        assertThat(DrySpells.yearsOfTen(y, FROM, 2, 0, 3)).isEqualTo(10);
        // a mock has no evaporation: no day dries hay
        assertThat(DrySpells.yearsOfTen(y, FROM, 2, 4, 3)).isZero();
    }
}
