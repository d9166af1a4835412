package app.etlo.server.outside;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AnswersTest {
    private static final Instant NOW = Instant.parse("2026-11-25T12:00:00Z");
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
    private static final String GOOD = """
            {"issued":"2026-11-25T06:00:00Z","days":[
             {"date":"2026-11-25","tmin_c":1.5,"tmax_c":8,"prcp_mm":0},
             {"date":"2026-11-26","tmin_c":-3,"tmax_c":4,"prcp_mm":12.5}]}
            """;

    @Test
    void a_forecast_is_read_day_by_day() {
        var told = Answers.forecast(GOOD, TODAY, NOW);
        assertThat(told.days()).hasSize(2);
        assertThat(told.days().get(1).tminC()).isEqualTo(-3);
        assertThat(told.issued()).isEqualTo(Instant.parse("2026-11-25T06:00:00Z"));
    }

    /** Each lie is one piece of a good answer replaced. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "\"tmax_c\":4 | \"tmax_c\":-4 | warmer than its day",
                "\"tmin_c\":1.5 | \"tmin_c\":280 | tmin_c that cannot be",
                "\"prcp_mm\":12.5 | \"prcp_mm\":-1 | prcp_mm that cannot be",
                "\"prcp_mm\":12.5 | \"prcp_mm\":\"wet\" | prcp_mm that cannot be",
                "2026-11-26 | 2026-11-27 | do not follow each other",
                "\"date\":\"2026-11-25\" | \"date\":\"2025-11-25\" | do not follow each other",
                "2026-11-25T06 | 2026-11-26T06 | a future time",
                "2026-11-25T06:00:00Z | this morning | no time of its answer",
                "\"days\" | \"dias\" | no days",
                "{\"issued\" | <html> | not JSON"
            })
    void what_cannot_be_is_not_believed(String piece, String lie, String why) {
        assertThat(GOOD).contains(piece);
        assertThatThrownBy(() -> Answers.forecast(GOOD.replace(piece, lie), TODAY, NOW))
                .isInstanceOf(NoAnswer.class)
                .hasMessageContaining(why);
    }

    @Test
    void a_soil_of_100_degrees_is_not_believed() {
        assertThatThrownBy(() ->
                        Answers.probe("{\"measured\":\"2026-11-25T06:00:00Z\",\"depth_cm\":5,\"celsius\":100}", NOW))
                .hasMessageContaining("celsius");
    }
}
