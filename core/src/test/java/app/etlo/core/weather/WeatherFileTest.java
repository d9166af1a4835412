package app.etlo.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.quantity.DayOrder;
import app.etlo.core.weather.Reading.Rain;
import app.etlo.core.weather.Reading.Temperature;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

class WeatherFileTest {
    private static final WeatherSeries TRUTH =
            new WeatherGenerator(KnowledgeLoader.shipped().stations().get("tarrow-ridge")).years(2001, 2003);

    private static String file(
            String header, DoubleUnaryOperator temperature, DoubleUnaryOperator rain, String format) {
        StringBuilder text = new StringBuilder(header).append('\n');
        for (int i = 0; i < TRUTH.days(); i++) {
            text.append(TRUTH.date(i)).append(',');
            text.append(String.format(Locale.ROOT, format, temperature.applyAsDouble(TRUTH.tminC(i))));
            text.append(',').append(String.format(Locale.ROOT, format, temperature.applyAsDouble(TRUTH.tmaxC(i))));
            text.append(',').append(String.format(Locale.ROOT, "%.2f", rain.applyAsDouble(TRUTH.rainMm(i))));
            text.append('\n');
        }
        return text.toString();
    }

    private static WeatherFile.Read read(String text) {
        return WeatherFile.read(text, Optional.of(43.0), Reading.Given.NOTHING);
    }

    private static void isTheTruth(WeatherSeries read, double toleranceC) {
        assertThat(read.days()).isEqualTo(TRUTH.days());
        for (int i = 0; i < read.days(); i += 37) {
            assertThat(read.tmaxC(i)).isCloseTo(TRUTH.tmaxC(i), within(toleranceC));
            assertThat(read.rainMm(i)).isCloseTo(TRUTH.rainMm(i), within(0.3));
        }
    }

    @Test
    void a_plain_file_is_read_as_it_says() {
        WeatherFile.Read read = read(file("date,tmin_c,tmax_c,prcp_mm", t -> t, r -> r, "%.1f"));
        isTheTruth(read.series(), 1e-9);
        assertThat(read.report().faults()).isZero();
        assertThat(read.report().temperatureDoubt()).isEmpty();
    }

    @Test
    void tenths_under_the_public_names_are_told_by_their_span() {
        WeatherFile.Read read = read(
                file("DATE,TMIN,TMAX,PRCP", t -> t * 10, r -> r * 10, "%.0f").replace(".00", ""));
        assertThat(read.report().temperature()).isEqualTo(Temperature.TENTHS);
        assertThat(read.report().rain()).isEqualTo(Rain.TENTHS);
        isTheTruth(read.series(), 0.06);
    }

    @Test
    void fahrenheit_and_inches_under_the_same_names_are_told_too() {
        WeatherFile.Read read = read(file("DATE,TMIN,TMAX,PRCP", t -> t * 1.8 + 32, r -> r / 25.4, "%.1f"));
        assertThat(read.report().temperature()).isEqualTo(Temperature.FAHRENHEIT);
        assertThat(read.report().rain()).isEqualTo(Rain.INCH);
        isTheTruth(read.series(), 0.06);
    }

    @Test
    void a_fahrenheit_file_that_calls_itself_celsius_is_noticed_and_put_right_by_a_word() {
        String text = file("date,tmin_c,tmax_c,prcp_mm", t -> t * 1.8 + 32, r -> r, "%.1f");
        WeatherFile.Read doubted = read(text);
        assertThat(doubted.report().temperature()).isEqualTo(Temperature.CELSIUS);
        assertThat(doubted.report().temperatureDoubt()).isPresent();
        assertThat(doubted.report().temperatureOr()).contains(Temperature.FAHRENHEIT);
        WeatherFile.Read right = WeatherFile.read(
                text,
                Optional.of(43.0),
                new Reading.Given(Optional.of(Temperature.FAHRENHEIT), Optional.empty(), Optional.empty()));
        assertThat(right.report().temperatureDoubt()).isEmpty();
        isTheTruth(right.series(), 0.06);
    }

    @Test
    void a_tenths_file_that_calls_itself_celsius_is_noticed() {
        WeatherFile.Read read = read(file("date,tmin_c,tmax_c,prcp_mm", t -> t * 10, r -> r, "%.0f"));
        assertThat(read.report().temperatureDoubt()).isPresent();
        assertThat(read.report().temperatureOr()).contains(Temperature.TENTHS);
    }

    @Test
    void semicolons_decimal_commas_and_a_byte_order_mark_do_no_harm() {
        String text = "\ufeff"
                + file("date,tmin_c,tmax_c,prcp_mm", t -> t, r -> r, "%.1f")
                        .replace(',', ';')
                        .replace('.', ',');
        isTheTruth(read(text).series(), 1e-9);
    }

    @Test
    void what_is_wrong_is_told_by_its_line() {
        String text = """
                date,tmin_c,tmax_c,prcp_mm
                2020-01-01,1,5,0
                2020-01-02,9,5,0
                2020-02-30,1,5,0
                2020-01-03,1,5,0
                2020-01-03,1,6,0
                2020-01-05,1,abc,0
                2020-01-04,1,5,-3
                2020-01-06,1,5,0
                """;
        WeatherReport report = read(text).report();
        assertThat(report.lines())
                .extracting(l -> l.line() + " " + l.kind())
                .containsExactlyInAnyOrder(
                        "3 tmin-above-tmax", "4 bad-date", "6 twice", "7 no-number", "8 order", "8 impossible");
        // 2, 4 and 5 January are known in part only, and short enough to be filled
        assertThat(report.gaps()).extracting(WeatherReport.Gap::filled).containsOnly(true);
        assertThat(report.filledDays()).isEqualTo(3);
    }

    @Test
    void a_gap_of_six_days_stays_open() {
        StringBuilder text = new StringBuilder("date,tmin_c,tmax_c,prcp_mm\n");
        LocalDate day = LocalDate.of(2020, 1, 1);
        for (int i = 0; i < 40; i++) {
            if ((i < 10 || i >= 15) && (i < 20 || i >= 26)) {
                text.append(day.plusDays(i))
                        .append(",")
                        .append(i)
                        .append(",")
                        .append(i + 8)
                        .append(",1\n");
            }
        }
        WeatherFile.Read read = read(text.toString());
        assertThat(read.report().gaps()).extracting(WeatherReport.Gap::days).containsExactly(5, 6);
        assertThat(read.report().gaps()).extracting(WeatherReport.Gap::filled).containsExactly(true, false);
        assertThat(read.series().tminC(12)).isCloseTo(12, within(1e-9));
        assertThat(read.series().isFilled(12)).isTrue();
        assertThat(read.series().isKnown(22)).isFalse();
    }

    @Test
    void doubtful_values_of_the_public_files_are_left_out() {
        String text = """
                "STATION","DATE","PRCP","PRCP_ATTRIBUTES","TMAX","TMAX_ATTRIBUTES","TMIN","TMIN_ATTRIBUTES","SNWD"
                "X1","2020-01-01","10",",,W","50",",,W","10",",,W","120"
                "X1","2020-01-02","0",",,W","900",",X,W","12",",,W","-9999"
                "X1","2020-01-03","0",",,W","55",",,W","13",",,W","0"
                """;
        WeatherFile.Read read = WeatherFile.read(
                text,
                Optional.empty(),
                new Reading.Given(Optional.of(Temperature.TENTHS), Optional.of(Rain.TENTHS), Optional.empty()));
        assertThat(read.series().tmaxC(0)).isEqualTo(5);
        assertThat(read.series().snowCm(0)).isEqualTo(12);
        assertThat(read.series().tmaxC(1)).isCloseTo(5.25, within(1e-9));
        assertThat(read.report().lines()).extracting(WeatherReport.Line::kind).containsExactly("flagged");
    }

    @Test
    void what_is_no_weather_file_says_what_one_looks_like() {
        assertThatThrownBy(() -> read("")).hasMessageContaining("date,tmin_c,tmax_c,prcp_mm");
        assertThatThrownBy(() -> read("name,price\nrye,3\n")).hasMessageContaining("no column date, tmin, tmax, prcp");
        assertThatThrownBy(() -> read("date,tmin_c,tmax_c,prcp_mm\n")).hasMessageContaining("no line of weather");
    }

    @Test
    void leap_days_are_days_and_29_february_of_other_years_is_none() {
        String text = "date,tmin_c,tmax_c,prcp_mm\n2020-02-28,1,5,0\n2020-02-29,1,5,0\n2021-02-29,1,5,0\n";
        WeatherFile.Read read = read(text);
        assertThat(read.series().days()).isEqualTo(2);
        assertThat(read.report().lines()).extracting(WeatherReport.Line::kind).containsExactly("bad-date");
    }

    private static String slashed(int days) {
        StringBuilder text = new StringBuilder("date,tmin_f,tmax_f,prcp_in\n");
        for (LocalDate d = LocalDate.of(1996, 11, 1); days > 0; d = d.plusDays(1), days--) {
            text.append(d.getMonthValue() + "/" + d.getDayOfMonth() + "/" + d.getYear() + ",30,50,T\n");
        }
        return text.toString();
    }

    @Test
    void dates_in_figures_are_asked_about_once_where_the_file_does_not_show_their_order() {
        var sure = WeatherFile.read(slashed(400), Optional.of(43.0), Reading.Given.NOTHING);
        assertThat(sure.report().dayOrder()).contains(DayOrder.MONTH_FIRST);
        assertThat(sure.report().dayOrderSure()).isTrue();
        assertThat(sure.series().first()).isEqualTo(LocalDate.of(1996, 11, 1));
        assertThat(sure.report().faults()).isZero();

        var asked = WeatherFile.read(slashed(12), Optional.of(43.0), Reading.Given.NOTHING);
        assertThat(asked.report().dayOrderSure()).isFalse();
        var answered = WeatherFile.read(
                slashed(12),
                Optional.of(43.0),
                new Reading.Given(Optional.empty(), Optional.empty(), Optional.of(DayOrder.DAY_FIRST)));
        assertThat(answered.report().dayOrderSure()).isTrue();
        assertThat(answered.series().first()).isEqualTo(LocalDate.of(1996, 1, 11));
        assertThat(WeatherFile.read(
                                "date;tmin_c;tmax_c;prcp_mm\n13.1.1996;1,5;6;0\n14.1.1996;M;7;2\n",
                                Optional.of(50.0),
                                Reading.Given.NOTHING)
                        .report()
                        .dayOrder())
                .contains(DayOrder.DAY_FIRST);
    }
}
