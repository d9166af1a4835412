package app.etlo.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.quantity.NumberText.DecimalSign;
import app.etlo.core.quantity.NumberText.Read;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Numbers as CLDR's locales write them: en, de, fr, de-CH, en-ZA. */
class NumberTextTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12|12",
                "1.5|1.5",
                "1,5|1.5",
                ".5|0.5",
                "0,250|0.25",
                "1,234.5|1234.5",
                "1.234,5|1234.5",
                "1,234,567|1234567",
                "1.234.567|1234567",
                "16 000|16000",
                "16\u202f000,5|16000.5",
                "1'250|1250",
                "-3|-3",
                "\u22123,25|-3.25",
                "1234,567|1234.567",
            })
    void what_has_one_sense_is_read(String text, double value) {
        assertThat(NumberText.read(text, Optional.empty())).isEqualTo(new Read.Number(value));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "abc", "1.2.3", "1e5", "NaN", "0x10", "--1", "1,23,456", "12 34", "1,234.5,6", ","})
    void what_has_none_is_not_a_number(String text) {
        assertThat(NumberText.read(text, Optional.empty())).isEqualTo(new Read.NotANumber());
    }

    @Test
    void what_has_two_is_read_by_the_decimal_sign_of_its_table() {
        assertThat(NumberText.read("1,200", Optional.empty())).isEqualTo(new Read.Either(1200, 1.2));
        assertThat(NumberText.read("1,200", Optional.of(DecimalSign.POINT))).isEqualTo(new Read.Number(1200));
        assertThat(NumberText.read("1,200", Optional.of(DecimalSign.COMMA))).isEqualTo(new Read.Number(1.2));
        assertThat(NumberText.read("-1.200", Optional.of(DecimalSign.COMMA))).isEqualTo(new Read.Number(-1200));
        assertThat(NumberText.read("1.200", Optional.of(DecimalSign.POINT))).isEqualTo(new Read.Number(1.2));
    }

    @Test
    void a_table_shows_its_sign_unless_its_numbers_contradict_each_other() {
        assertThat(NumberText.signOf(List.of("1,200", "3.5", "x"))).contains(DecimalSign.POINT);
        assertThat(NumberText.signOf(List.of("1,200", "3,5"))).contains(DecimalSign.COMMA);
        assertThat(NumberText.signOf(List.of("1,200", "7"))).isEmpty();
        assertThat(NumberText.signOf(List.of("1.5", "3,5"))).isEmpty();
    }
}
