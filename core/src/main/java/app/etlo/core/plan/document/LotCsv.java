package app.etlo.core.plan.document;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Species;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.quantity.DayOrder;
import app.etlo.core.quantity.FileDates;
import app.etlo.core.quantity.NumberText;
import app.etlo.core.quantity.NumberText.DecimalSign;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import java.io.IOException;
import java.io.StringReader;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads seed lots from a table as spreadsheets write it: first line the names of the columns (species, lot, purity %,
 * germination % are needed; the others are those that {@link #write} writes; some are known by other names too), then a lot a line. Separated by
 * commas, semicolons or tabs; decimals with point or comma; with or without a byte-order mark. Price, bag and stock carry their unit in
 * the name of the column: kg where none is named, or lb. A bad line is reported by its number, and the others are still read; a column
 * that is not known is reported by its name.
 */
public final class LotCsv {
    /** A spreadsheet takes a text that begins so for a formula, also behind a tab, a return or a blank, which it skips. */
    private static final Pattern FORMULA = Pattern.compile("[\\s\\u00a0\\ufeff]*[=+@\\-]|[\\t\\r\\n]");

    /** More lines than any seed store has lots. */
    public static final int MOST_LINES = 5000;

    /** What stands behind a column's name: a sign of percent, a unit, words in brackets. */
    private static final Pattern BEHIND = Pattern.compile("[\\s,_]*(\\(|\\[|%|/|,|\\bper\\b|\\b(kg|lbs?|t)\\b).*$");

    private static final Pattern UNIT = Pattern.compile("(?<![a-z])(kg|lb|t)s?(?![a-z])");

    private static final List<String> NUMBERS = List.of(
            "purity",
            "germination",
            "hard seed",
            "dormant",
            "weed seed",
            "seed count",
            "price",
            "cleaning",
            "bag",
            "stock");

    private static final Set<String> KNOWN = Stream.concat(
                    NUMBERS.stream(),
                    Stream.of(
                            "species",
                            "lot",
                            "germination includes hard seed",
                            "noxious weeds",
                            "treated with",
                            "coated",
                            "own grown",
                            "hardiness",
                            "tested",
                            "inoculated",
                            "supplier"))
            .collect(Collectors.toUnmodifiableSet());

    /** What others call a column. */
    private static final Map<String, String> ALSO = Map.ofEntries(
            Map.entry("germ", "germination"),
            Map.entry("pure seed", "purity"),
            Map.entry("kind", "species"),
            Map.entry("lot number", "lot"),
            Map.entry("lot no", "lot"),
            Map.entry("lot no.", "lot"),
            Map.entry("lot #", "lot"),
            Map.entry("hard", "hard seed"),
            Map.entry("bag size", "bag"),
            Map.entry("bag weight", "bag"),
            Map.entry("in store", "stock"),
            Map.entry("on hand", "stock"),
            Map.entry("cost", "price"),
            Map.entry("test date", "tested"),
            Map.entry("date tested", "tested"),
            Map.entry("tested on", "tested"),
            Map.entry("vendor", "supplier"));

    private static final List<String> NEEDED = List.of("species", "lot", "purity", "germination");

    private final Knowledge knowledge;
    private final List<LotEntry> lots = new ArrayList<>();
    private final List<LineProblem> problems = new ArrayList<>();
    private final Map<String, Column> columns = new HashMap<>();
    private final List<String> unknown = new ArrayList<>();
    private final Optional<DayOrder> dayOrder;
    private Optional<DecimalSign> sign;
    private boolean twoWays;
    private FileDates dates = new FileDates(Optional.empty(), true);

    private LotCsv(Knowledge knowledge, Optional<DecimalSign> sign, Optional<DayOrder> dayOrder) {
        this.dayOrder = dayOrder;
        this.knowledge = knowledge;
        this.sign = sign;
    }

    /**
     * A column of the table.
     *
     * @param unit what its name says of kg, lb or t; empty for kg
     */
    private record Column(int place, String unit) {}

    /** What is wrong with a line; the line of column names is line 1. */
    public record LineProblem(long line, String message) {}

    /**
     * The lots of the good lines, and what is wrong with the others.
     *
     * @param unknownColumns names of columns that Etlo does not know, and did not read
     * @param decimalSignNeeded whether a number such as 1,200 can be read two ways, so that the decimal sign has to be given
     * @param dayOrderNeeded whether dates such as 3/4/2026 can be two days, so that the place of the month has to be given
     */
    public record Read(
            List<LotEntry> lots,
            List<LineProblem> problems,
            List<String> unknownColumns,
            boolean decimalSignNeeded,
            boolean dayOrderNeeded) {}

    /**
     * The lots of a table. Their ids are made from their species and name, so that the same table read twice gives the same.
     *
     * @param sign the table's decimal sign, where it was asked about
     * @param dayOrder which figure of its dates is the month, where it was asked about
     * @throws Refused when it is not such a table, or has more than {@value #MOST_LINES} lines
     */
    public static Read read(String text, Knowledge knowledge, Optional<DecimalSign> sign, Optional<DayOrder> dayOrder) {
        LotCsv csv = new LotCsv(knowledge, sign, dayOrder);
        csv.readAll(text.startsWith("\uFEFF") ? text.substring(1) : text);
        return new Read(
                List.copyOf(csv.lots),
                List.copyOf(csv.problems),
                List.copyOf(csv.unknown),
                csv.twoWays,
                !csv.dates.sure());
    }

    /** The lots as a table that {@link #read} takes again, in kg or lb. */
    public static String write(List<LotEntry> lots, Knowledge knowledge, UnitSystem system) {
        Unit mass = system.shown(Unit.KILOGRAM);
        Unit price = system.shown(Unit.MONEY_PER_KG);
        String per = mass.symbol();
        StringBuilder text = new StringBuilder();
        try (CSVPrinter out = new CSVPrinter(text, CSVFormat.RFC4180)) {
            out.printRecord(
                    "species",
                    "lot",
                    "purity %",
                    "germination %",
                    "hard seed %",
                    "germination includes hard seed",
                    "seed count per " + per,
                    "dormant %",
                    "weed seed %",
                    "noxious weeds",
                    "treated with",
                    "coated",
                    "own grown",
                    "hardiness",
                    "tested",
                    "price per " + per,
                    "cleaning per " + per,
                    "bag " + per,
                    "stock " + per,
                    "inoculated",
                    "supplier");
            for (LotEntry l : lots) {
                out.printRecord(
                        knowledge.species().get(l.species()).name(),
                        plain(l.label()),
                        l.purityPercent(),
                        l.germinationPercent(),
                        l.hardSeedPercent().orElse(null),
                        said(l.germinationIncludesHardSeed()),
                        l.seedCount()
                                .map(q -> neat(q.in(system.shown(Unit.PER_KG))))
                                .orElse(null),
                        l.dormantPercent().orElse(null),
                        l.weedSeedPercent().orElse(null),
                        plain(l.noxious().orElse("")),
                        plain(l.treatedWith().orElse("")),
                        said(l.coated()),
                        said(l.ownGrown()),
                        l.hardiness().orElse(null),
                        l.testedOn().orElse(null),
                        l.price().map(q -> neat(q.in(price))).orElse(null),
                        l.cleaningCost().map(q -> neat(q.in(price))).orElse(null),
                        l.bagSize().map(q -> neat(q.in(mass))).orElse(null),
                        l.stock().map(q -> neat(q.in(mass))).orElse(null),
                        said(l.inoculated()),
                        plain(l.supplier().orElse("")));
            }
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return text.toString();
    }

    /** Without the digits that only the change of unit made. */
    private static double neat(double v) {
        return BigDecimal.valueOf(v).round(new MathContext(9)).doubleValue();
    }

    private static String said(Optional<Boolean> yes) {
        return yes.filter(y -> y).map(y -> "yes").orElse(null);
    }

    /** Defused by an apostrophe where a spreadsheet would take it for a formula. */
    public static String plain(String text) {
        return FORMULA.matcher(text).lookingAt() ? "'" + text : text;
    }

    private void readAll(String text) {
        String first = text.lines().findFirst().orElse("");
        char separator = Stream.of(';', '\t', ',')
                .filter(c -> first.indexOf(c) >= 0)
                .findFirst()
                .orElseThrow(() -> new Refused("", "line 1 names the columns: species, lot, purity %, germination %"));
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .get();
        List<CSVRecord> lines = new ArrayList<>();
        List<Long> numbers = new ArrayList<>();
        try (var parser = format.parse(new StringReader(text))) {
            for (CSVRecord line : parser) {
                if (lines.size() > MOST_LINES) {
                    throw new Refused("", "over " + MOST_LINES + " lines: this is not a table of seed lots");
                }
                lines.add(line);
                numbers.add(parser.getCurrentLineNumber());
            }
        } catch (IOException | IllegalStateException | java.io.UncheckedIOException e) {
            throw new Refused("", "this table cannot be read: a quotation mark is not closed");
        }
        head(lines.get(0));
        // a table separated by commas writes its decimals with points
        sign = sign.or(() -> separator == ',' ? Optional.of(DecimalSign.POINT) : NumberText.signOf(figures(lines)));
        dates = FileDates.of(
                lines.stream().skip(1).flatMap(l -> cell(l, "tested").stream()).toList(), dayOrder);
        for (int i = 1; i < lines.size(); i++) {
            lot(lines.get(i), numbers.get(i));
        }
    }

    private List<String> figures(List<CSVRecord> lines) {
        return lines.stream()
                .skip(1)
                .flatMap(line -> NUMBERS.stream().flatMap(n -> cell(line, n).stream()))
                .map(t -> t.replace("%", ""))
                .toList();
    }

    private void head(CSVRecord line) {
        for (int i = 0; i < line.size(); i++) {
            String written =
                    line.get(i).toLowerCase(Locale.ROOT).replace('_', ' ').strip();
            String plain = BEHIND.matcher(written).replaceFirst("").strip();
            String name = ALSO.getOrDefault(plain, plain);
            if (KNOWN.contains(name)) {
                Matcher unit = UNIT.matcher(written);
                columns.putIfAbsent(name, new Column(i, unit.find() ? unit.group(1) : "kg"));
            } else if (!written.isEmpty()) {
                unknown.add(shortly(line.get(i)));
            }
        }
        NEEDED.stream().filter(n -> !columns.containsKey(n)).findFirst().ifPresent(n -> {
            throw new Refused("", "line 1 names no column '" + n + "'; it needs " + String.join(", ", NEEDED));
        });
    }

    private void lot(CSVRecord line, long number) {
        try {
            LotEntry lot = entry(line);
            ContextCheck.lot(lot, knowledge);
            if (lots.stream().anyMatch(l -> l.id().equals(lot.id()))) {
                throw new Refused("", "this lot is in the table twice");
            }
            lots.add(lot);
        } catch (Refused e) {
            Problem p = e.problems().get(0);
            String where = p.pointer().isEmpty()
                    ? ""
                    : MemberWords.of(List.of(p.pointer().substring(1))) + ": ";
            problems.add(new LineProblem(number, where + p.message()));
        }
    }

    private LotEntry entry(CSVRecord line) {
        String named = cell(line, "species").orElse("");
        String species = knowledge.species().all().stream()
                .filter(s -> named.equalsIgnoreCase(s.name())
                        || named.equalsIgnoreCase(s.id())
                        || named.equalsIgnoreCase(s.botanical()))
                .findFirst()
                .map(Species::id)
                .orElseThrow(() -> new Refused("/species", "'" + shortly(named) + "' is not a species of the library"));
        String label = cell(line, "lot").orElse("");
        String id = "csv-" + species + "-" + label.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        return new LotEntry(
                id.substring(0, Math.min(64, id.length())),
                species,
                label,
                number(line, "purity").orElseThrow(() -> new Refused("/purityPercent", "is missing")),
                number(line, "germination").orElseThrow(() -> new Refused("/germinationPercent", "is missing")),
                number(line, "hard seed"),
                yes(line, "germination includes hard seed"),
                number(line, "seed count")
                        .map(v -> new Quantity(v, unitOf("seed count").equals("lb") ? Unit.PER_LB : Unit.PER_KG)),
                cell(line, "tested").map(this::day),
                price(line, "price"),
                mass(line, "bag"),
                yes(line, "inoculated"),
                cell(line, "supplier"),
                mass(line, "stock"),
                number(line, "dormant"),
                number(line, "weed seed"),
                cell(line, "noxious weeds"),
                cell(line, "treated with"),
                yes(line, "coated"),
                yes(line, "own grown"),
                price(line, "cleaning"),
                cell(line, "hardiness").map(t -> t.toLowerCase(Locale.ROOT)),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private Optional<Quantity> price(CSVRecord line, String column) {
        return number(line, column)
                .map(v -> new Quantity(
                        v,
                        switch (unitOf(column)) {
                            case "lb" -> Unit.MONEY_PER_LB;
                            case "t" -> Unit.MONEY_PER_T;
                            default -> Unit.MONEY_PER_KG;
                        }));
    }

    private String unitOf(String column) {
        return columns.get(column).unit();
    }

    private Optional<Quantity> mass(CSVRecord line, String column) {
        return number(line, column)
                .map(v -> new Quantity(
                        v,
                        switch (unitOf(column)) {
                            case "lb" -> Unit.POUND;
                            case "t" -> Unit.TONNE;
                            default -> Unit.KILOGRAM;
                        }));
    }

    private Optional<Boolean> yes(CSVRecord line, String column) {
        return cell(line, column)
                .map(t -> t.toLowerCase(Locale.ROOT))
                .filter(t -> !t.equals("no"))
                .map(t -> {
                    if (!t.equals("yes")) {
                        throw new Refused("/" + column, "'" + shortly(t) + "' is neither yes nor no");
                    }
                    return true;
                });
    }

    private LocalDate day(String text) {
        return (dates.sure() ? dates.read(text) : Optional.<LocalDate>empty())
                .orElseThrow(() -> new Refused("/testedOn", FileDates.problem(text)));
    }

    private Optional<Double> number(CSVRecord line, String column) {
        return cell(line, column).map(text -> {
            NumberText.Read read = NumberText.read(text.replace("%", ""), sign);
            if (read instanceof NumberText.Read.Number n && Math.abs(n.value()) < 1e9) {
                return n.value();
            }
            if (read instanceof NumberText.Read.Either e) {
                twoWays = true;
                throw new Refused("/" + column, "'" + text + "' can be " + plain(e.grouped()) + " or " + e.decimal());
            }
            throw new Refused("/" + column, "'" + shortly(text) + "' is not a number");
        });
    }

    private static String plain(double whole) {
        return String.valueOf(Math.round(whole));
    }

    private Optional<String> cell(CSVRecord line, String column) {
        Column c = columns.get(column);
        return c == null || c.place() >= line.size()
                ? Optional.empty()
                : Optional.of(line.get(c.place())).filter(t -> !t.isEmpty());
    }

    private static String shortly(String text) {
        return text.length() > 40 ? text.substring(0, 40) : text;
    }
}
