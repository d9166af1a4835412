package app.etlo.core.weather;

import app.etlo.core.quantity.DayOrder;
import app.etlo.core.quantity.FileDates;
import app.etlo.core.weather.Reading.Rain;
import app.etlo.core.weather.Reading.Temperature;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads a weather file: comma, semicolon or tab between the columns, decimal point or comma, with or without a mark of its
 * encoding. What is wrong is reported by line; what cannot be is left out; gaps of up to five days are filled and marked.
 */
public final class WeatherFile {
    /** Missing, in the public daily files. */
    private static final double MISSING = -9999;

    /** How United States stations write a value that is missing, and rain or snow too little to measure. */
    private static final Set<String> MISSING_MARKS = Set.of("M", "NA");

    private static final String TRACE = "T";
    private static final int FILLED_GAP_DAYS = 5;
    private static final int MOST_LINES = 60_000;
    private static final double HOTTEST_C = 60;
    private static final double COLDEST_C = -70;
    private static final double WETTEST_MM = 1000;
    private static final int LONGEST_YEARS = 150;

    private final WeatherReport.Lines lines = new WeatherReport.Lines();
    private final List<Row> rows = new ArrayList<>();
    private FileDates dates = new FileDates(Optional.empty(), true);

    private WeatherFile() {}

    /** A line as it stands, numbers not yet in units. */
    private record Row(long line, LocalDate date, double tmin, double tmax, double rain, double solar, double snowCm) {}

    /** What was read, with its report. */
    public record Read(WeatherSeries series, WeatherReport report) {}

    /**
     * Reads a file.
     *
     * @param latitude where it was measured, if known: helps to tell the units
     * @param given what the adviser answered when asked
     * @throws UnreadableWeather when it is not a weather file at all
     */
    public static Read read(String text, Optional<Double> latitude, Reading.Given given) {
        return new WeatherFile().all(text, latitude, given);
    }

    private Read all(String text, Optional<Double> latitude, Reading.Given given) {
        Optional<Temperature> temperature = given.temperature();
        Optional<Rain> measure = given.rain();
        String plain = text.startsWith("\ufeff") ? text.substring(1) : text;
        String head = plain.lines().findFirst().orElse("");
        if (head.isBlank()) {
            throw new UnreadableWeather("The file is empty. A weather file begins with date,tmin_c,tmax_c,prcp_mm.");
        }
        char between = head.indexOf(';') >= 0 ? ';' : head.indexOf('\t') >= 0 ? '\t' : ',';
        WeatherColumns columns = parse(plain, between, given.dayOrder());
        if (rows.isEmpty()) {
            throw new UnreadableWeather("The file has a header and no line of weather under it that can be read."
                    + lines.first()
                            .map(l -> " Line " + l.line() + ": " + l.text())
                            .orElse(""));
        }
        inOrder();
        double[] tmin = rows.stream().mapToDouble(Row::tmin).toArray();
        double[] tmax = rows.stream().mapToDouble(Row::tmax).toArray();
        double[] rain = rows.stream().mapToDouble(Row::rain).toArray();
        var scale = UnitGuess.temperature(tmin, tmax, latitude, temperature.or(columns::temperature));
        var mm = UnitGuess.rain(rain, measure.or(columns::measure));
        WeatherSeries raw = series(scale.taken(), mm.taken());
        Gaps gaps = new Gaps(raw);
        WeatherSeries series = gaps.filled(FILLED_GAP_DAYS);
        boolean sure = scale.sound() || temperature.isPresent();
        return new Read(
                series,
                new WeatherReport(
                        rows.size(),
                        series.first(),
                        series.end().minusDays(1),
                        scale.taken(),
                        sure ? Optional.empty() : Optional.of(UnitGuess.words(scale.taken(), tmax)),
                        scale.sounder(),
                        mm.taken(),
                        mm.sound() || measure.isPresent(),
                        mm.sounder(),
                        dates.order(),
                        dates.sure(),
                        lines.all(),
                        lines.count(),
                        gaps.all(),
                        series.filledDays()));
    }

    private WeatherColumns parse(String text, char between, Optional<DayOrder> order) {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(between)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .get();
        try (CSVParser parser = format.parse(new StringReader(text))) {
            List<CSVRecord> records = new ArrayList<>();
            List<Long> numbers = new ArrayList<>();
            for (CSVRecord r : parser) {
                if (records.size() > MOST_LINES) {
                    throw new UnreadableWeather("The file has over " + MOST_LINES
                            + " lines. Cut it to one station and its last fifty years.");
                }
                records.add(r);
                numbers.add(parser.getCurrentLineNumber());
            }
            WeatherColumns columns = WeatherColumns.of(records.get(0).toList());
            dates = FileDates.of(
                    records.stream().map(r -> cell(r, columns.date())).toList(), order);
            for (int i = 1; i < records.size(); i++) {
                row(records.get(i), numbers.get(i), columns, between == ';' || between == '\t');
            }
            return columns;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (UncheckedIOException e) {
            throw new UnreadableWeather("The file is not a readable table: a quotation mark is not closed, or stands"
                    + " in the middle of a value.");
        }
    }

    private void row(CSVRecord r, long line, WeatherColumns c, boolean decimalComma) {
        Optional<LocalDate> date = dates.read(cell(r, c.date()));
        if (date.isEmpty()) {
            lines.add(line, "bad-date", "'" + cut(cell(r, c.date())) + "' is not a date such as 2027-05-12");
            return;
        }
        double snow = c.snow().map(i -> number(r, i, line, c, decimalComma)).orElse(Double.NaN);
        rows.add(new Row(
                line,
                date.get(),
                number(r, c.tmin(), line, c, decimalComma),
                number(r, c.tmax(), line, c, decimalComma),
                number(r, c.rain(), line, c, decimalComma),
                c.solar().map(i -> number(r, i, line, c, decimalComma)).orElse(Double.NaN),
                c.snowMm() ? snow / 10 : snow));
    }

    private static String cell(CSVRecord r, int column) {
        return column < r.size() ? r.get(column) : "";
    }

    private double number(CSVRecord r, int column, long line, WeatherColumns c, boolean decimalComma) {
        String text = cell(r, column);
        if (text.isEmpty() || MISSING_MARKS.contains(text)) {
            return Double.NaN;
        }
        if (text.equals(TRACE)) {
            return 0;
        }
        Integer flagColumn = c.flags().get(column);
        if (flagColumn != null && flagColumn < r.size()) {
            String[] marks = r.get(flagColumn).split(",", -1);
            if (marks.length > 1 && !marks[1].isBlank()) {
                lines.add(line, "flagged", "a value marked doubtful (" + marks[1] + ") was left out");
                return Double.NaN;
            }
        }
        try {
            double v = Double.parseDouble(decimalComma ? text.replace(',', '.') : text);
            return v == MISSING || !Double.isFinite(v) ? Double.NaN : v;
        } catch (NumberFormatException e) {
            lines.add(line, "no-number", "'" + cut(text) + "' is not a number");
            return Double.NaN;
        }
    }

    private static String cut(String text) {
        return text.length() > 30 ? text.substring(0, 30) : text;
    }

    /** Puts the rows in the order of their days; the first of two for one day is kept. */
    private void inOrder() {
        LocalDate last = LocalDate.MIN;
        Set<LocalDate> seen = new HashSet<>();
        List<Row> kept = new ArrayList<>();
        for (Row r : rows) {
            if (!seen.add(r.date())) {
                lines.add(r.line(), "twice", r.date() + " stands twice; the first line was kept");
                continue;
            }
            if (r.date().isBefore(last)) {
                lines.add(r.line(), "order", r.date() + " stands after " + last + "; put in its place");
            }
            last = r.date().isAfter(last) ? r.date() : last;
            kept.add(r);
        }
        kept.sort(Comparator.comparing(Row::date));
        LocalDate newest = kept.get(kept.size() - 1).date();
        rows.clear();
        for (Row r : kept) {
            if (r.date().isBefore(newest.minusYears(LONGEST_YEARS))) {
                lines.add(
                        r.line(), "bad-date", r.date() + " lies over " + LONGEST_YEARS + " years before the last day");
            } else {
                rows.add(r);
            }
        }
    }

    private WeatherSeries series(Temperature scale, Rain measure) {
        LocalDate first = rows.get(0).date();
        int n = (int) (rows.get(rows.size() - 1).date().toEpochDay() - first.toEpochDay()) + 1;
        double[] tmin = unknown(n);
        double[] tmax = unknown(n);
        double[] rain = unknown(n);
        double[] solar = unknown(n);
        double[] snow = unknown(n);
        boolean anySolar = false;
        boolean anySnow = false;
        for (Row r : rows) {
            int i = (int) (r.date().toEpochDay() - first.toEpochDay());
            tmin[i] = between(r, scale.celsius(r.tmin()), COLDEST_C, HOTTEST_C, "lowest temperature", "°C");
            tmax[i] = between(r, scale.celsius(r.tmax()), COLDEST_C, HOTTEST_C, "highest temperature", "°C");
            if (tmin[i] > tmax[i]) {
                lines.add(
                        r.line(),
                        "tmin-above-tmax",
                        r.date() + ": the lowest temperature lies above the highest; both left out");
                tmin[i] = Double.NaN;
                tmax[i] = Double.NaN;
            }
            rain[i] = between(r, measure.millimetres(r.rain()), 0, WETTEST_MM, "precipitation", "mm");
            solar[i] = between(r, r.solar(), 0, 50, "radiation", "MJ/m2");
            snow[i] = between(r, r.snowCm(), 0, 1000, "snow", "cm");
            anySolar |= !Double.isNaN(solar[i]);
            anySnow |= !Double.isNaN(snow[i]);
        }
        return new WeatherSeries(
                first,
                tmin,
                tmax,
                rain,
                anySolar ? solar : new double[0],
                anySnow ? snow : new double[0],
                new BitSet());
    }

    private static double[] unknown(int n) {
        double[] column = new double[n];
        java.util.Arrays.fill(column, Double.NaN);
        return column;
    }

    private double between(Row r, double v, double low, double high, String what, String unit) {
        if (v < low || v > high) {
            lines.add(
                    r.line(),
                    "impossible",
                    r.date() + ": " + what + " of " + Math.round(v * 10) / 10.0 + " " + unit + " cannot be; left out");
            return Double.NaN;
        }
        return v;
    }
}
