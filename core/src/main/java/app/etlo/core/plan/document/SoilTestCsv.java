package app.etlo.core.plan.document;

import app.etlo.core.plan.document.FieldEntry.SoilTest;
import app.etlo.core.quantity.DayOrder;
import app.etlo.core.quantity.FileDates;
import app.etlo.core.quantity.NumberText;
import app.etlo.core.quantity.NumberText.DecimalSign;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads soil tests from a laboratory's table: the columns are guessed by their names, and mapped by the adviser where the guess
 * fails. A line that cannot be is reported by its number and cell; the others are still read.
 */
public final class SoilTestCsv {
    private static final int MOST_LINES = 2000;
    private static final int MOST_PROBLEMS = 100;
    private static final Pattern INCHES = Pattern.compile("\\b(in|inch|inches)\\b", Pattern.CASE_INSENSITIVE);
    /** Amounts by area, which are not the concentrations that a test holds. */
    private static final Pattern BY_AREA = Pattern.compile("lbs?\\b|kg\\s*/\\s*ha", Pattern.CASE_INSENSITIVE);

    /** Layers are often written from 0 to where they end. */
    private static final Pattern FROM_THE_TOP = Pattern.compile("^0\\s*(-|–|to)\\s*(?=\\d)");

    /** What a soil test holds, and by which names laboratories call it. */
    private static final Map<String, Pattern> NAMES = names();

    private final Map<String, Integer> columns = new LinkedHashMap<>();
    private final List<SoilTest> tests = new ArrayList<>();
    private final List<CellProblem> problems = new ArrayList<>();

    private final Optional<DayOrder> dayOrder;
    private Optional<DecimalSign> sign;
    private boolean twoWays;
    private FileDates dates = new FileDates(Optional.empty(), true);

    private SoilTestCsv(Optional<DecimalSign> sign, Optional<DayOrder> dayOrder) {
        this.sign = sign;
        this.dayOrder = dayOrder;
    }

    /**
     * What is wrong with a line.
     *
     * @param line the header is line 1
     * @param column the name in the table, empty for the whole line
     */
    public record CellProblem(long line, String column, String message) {}

    /**
     * A table as it was read.
     *
     * @param header the names of the columns
     * @param mapping which column each value was taken from
     * @param needed values that a test cannot do without and no column gives
     * @param decimalSignNeeded whether a number such as 1,200 can be read two ways, so that the decimal sign has to be given
     * @param dayOrderNeeded whether dates such as 3/4/2026 can be two days, so that the place of the month has to be given
     */
    public record SoilTestTable(
            List<String> header,
            Map<String, String> mapping,
            List<String> needed,
            List<SoilTest> tests,
            List<CellProblem> problems,
            boolean decimalSignNeeded,
            boolean dayOrderNeeded) {}

    private static Map<String, Pattern> names() {
        Map<String, Pattern> found = new LinkedHashMap<>();
        found.put("date", Pattern.compile("date|sampled|sample date|taken"));
        found.put("depth", Pattern.compile("depth.*|to cm|lower.*|bottom.*"));
        found.put("ph", Pattern.compile("ph|ph .*|soil ph"));
        found.put("organicMatter", Pattern.compile("om|om .*|organic matter.*|humus.*"));
        found.put("phosphorus", Pattern.compile("p|p .*|phosphorus.*|olsen p.*|bray.*|mehlich.* p.*"));
        found.put("potassium", Pattern.compile("k|k .*|potassium.*|potash.*"));
        found.put("nitrate", Pattern.compile("no3.*|nitrate.*|n-no3.*"));
        return found;
    }

    /** The values that can be mapped. */
    public static List<String> values() {
        return List.copyOf(NAMES.keySet());
    }

    /**
     * The tests of a table.
     *
     * @param mapping value to the name of its column, for what is not to be guessed; an empty name leaves the value out
     * @param sign the table's decimal sign, where it was asked about
     * @param dayOrder which figure of its dates is the month, where it was asked about
     * @throws Refused when it is not a table
     */
    public static SoilTestTable read(
            String text, Map<String, String> mapping, Optional<DecimalSign> sign, Optional<DayOrder> dayOrder) {
        return new SoilTestCsv(sign, dayOrder).all(text.startsWith("\uFEFF") ? text.substring(1) : text, mapping);
    }

    private SoilTestTable all(String text, Map<String, String> mapping) {
        String first = text.lines().findFirst().orElse("");
        char between = first.indexOf(';') >= 0 ? ';' : first.indexOf('\t') >= 0 ? '\t' : ',';
        if (first.indexOf(between) < 0 || first.chars().anyMatch(ch -> ch < ' ' && ch != '\t')) {
            throw new Refused("/file", "line 1 names the columns, such as date, depth cm, pH, OM %, P, K, NO3");
        }
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(between)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .get();
        List<String> header = new ArrayList<>();
        List<CSVRecord> records = new ArrayList<>();
        List<Long> numbers = new ArrayList<>();
        try (var parser = format.parse(new StringReader(text))) {
            for (CSVRecord r : parser) {
                if (records.size() > MOST_LINES) {
                    throw new Refused(
                            "/file", "over " + MOST_LINES + " lines: this is not a table of one field's tests");
                }
                records.add(r);
                numbers.add(parser.getCurrentLineNumber());
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw new Refused("/file", "this table cannot be read: a quotation mark is not closed");
        }
        header.addAll(records.get(0).toList());
        map(header, mapping);
        // a table separated by commas writes its decimals with points
        sign = sign.or(() -> between == ',' ? Optional.of(DecimalSign.POINT) : NumberText.signOf(figures(records)));
        dates = FileDates.of(
                records.stream().skip(1).flatMap(r -> cell(r, "date").stream()).toList(), dayOrder);
        for (int i = 1; i < records.size(); i++) {
            line(records.get(i), numbers.get(i), header);
        }
        Map<String, String> taken = new LinkedHashMap<>();
        columns.forEach((value, i) -> taken.put(value, header.get(i)));
        return new SoilTestTable(
                List.copyOf(header),
                taken,
                columns.containsKey("date") ? List.of() : List.of("date"),
                List.copyOf(tests),
                List.copyOf(problems),
                twoWays,
                !dates.sure());
    }

    private List<String> figures(List<CSVRecord> records) {
        return records.stream()
                .skip(1)
                .flatMap(r ->
                        NAMES.keySet().stream().filter(v -> !v.equals("date")).flatMap(v -> cell(r, v).stream()))
                .map(SoilTestCsv::bare)
                .toList();
    }

    /** A number without the unit that some laboratories write behind it. */
    private static String bare(String text) {
        return FROM_THE_TOP
                .matcher(text.replace("%", "").replace("cm", "").strip())
                .replaceFirst("");
    }

    private void map(List<String> header, Map<String, String> mapping) {
        Map<String, Integer> byName = new HashMap<>();
        for (int i = 0; i < header.size(); i++) {
            byName.putIfAbsent(header.get(i), i);
        }
        for (Map.Entry<String, Pattern> value : NAMES.entrySet()) {
            String chosen = mapping.get(value.getKey());
            if (chosen != null) {
                if (byName.containsKey(chosen)) {
                    columns.put(value.getKey(), byName.get(chosen));
                }
                continue;
            }
            for (int i = 0; i < header.size(); i++) {
                String plain = header.get(i)
                        .toLowerCase(Locale.ROOT)
                        .replaceAll("[(\\[%_].*", "")
                        .strip();
                if (value.getValue().matcher(plain).matches()
                        && !columns.containsValue(i)
                        && !BY_AREA.matcher(header.get(i)).find()) {
                    columns.put(value.getKey(), i);
                    break;
                }
            }
        }
    }

    private void line(CSVRecord r, long number, List<String> header) {
        int before = problems.size();
        Optional<LocalDate> date = cell(r, "date").flatMap(t -> day(t, number, header));
        if (date.isEmpty()) {
            if (problems.size() == before) {
                problem(number, "", "the day the sample was taken is missing");
            }
            return;
        }
        SoilTest test = new SoilTest(
                date.get(),
                depth(r, number, header),
                value(r, number, header, "ph", 2, 11),
                value(r, number, header, "organicMatter", 0, 100),
                value(r, number, header, "phosphorus", 0, 5000),
                value(r, number, header, "potassium", 0, 10_000),
                value(r, number, header, "nitrate", 0, 1000));
        if (problems.size() == before) {
            tests.add(test);
        }
    }

    private Optional<Quantity> depth(CSVRecord r, long number, List<String> header) {
        boolean inches = Optional.ofNullable(columns.get("depth"))
                .map(i -> INCHES.matcher(header.get(i)).find())
                .orElse(false);
        return inches
                ? value(r, number, header, "depth", 0.5, 120).map(v -> new Quantity(v, Unit.INCH))
                : value(r, number, header, "depth", 1, 300).map(v -> new Quantity(v, Unit.CENTIMETRE));
    }

    /** Nothing is taken from figures that can be two days. */
    private Optional<LocalDate> day(String text, long number, List<String> header) {
        Optional<LocalDate> day = dates.sure() ? dates.read(text) : Optional.empty();
        if (day.isEmpty()) {
            problem(number, header.get(columns.get("date")), FileDates.problem(text));
        }
        return day;
    }

    private Optional<Double> value(
            CSVRecord r, long number, List<String> header, String value, double low, double high) {
        Optional<String> text = cell(r, value);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        String column = header.get(columns.get(value));
        NumberText.Read read = NumberText.read(bare(text.get()), sign);
        if (read instanceof NumberText.Read.Either e) {
            twoWays = true;
            problem(number, column, "'" + text.get() + "' can be " + Math.round(e.grouped()) + " or " + e.decimal());
            return Optional.empty();
        }
        if (!(read instanceof NumberText.Read.Number found)) {
            problem(number, column, "'" + shortly(text.get()) + "' is not a number");
            return Optional.empty();
        }
        double v = found.value();
        if (v < low || v > high) {
            problem(number, column, shortly(text.get()) + " cannot be; from " + (long) low + " to " + (long) high);
            return Optional.empty();
        }
        return Optional.of(v);
    }

    private void problem(long line, String column, String message) {
        if (problems.size() < MOST_PROBLEMS) {
            problems.add(new CellProblem(line, column, message));
        }
    }

    private Optional<String> cell(CSVRecord r, String value) {
        Integer i = columns.get(value);
        return i == null || i >= r.size()
                ? Optional.empty()
                : Optional.of(r.get(i)).filter(t -> !t.isEmpty());
    }

    private static String shortly(String text) {
        return text.length() > 40 ? text.substring(0, 40) : text;
    }
}
