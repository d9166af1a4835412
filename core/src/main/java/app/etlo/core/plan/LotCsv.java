package app.etlo.core.plan;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Species;
import app.etlo.core.plan.Context.LotEntry;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.io.IOException;
import java.io.StringReader;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads seed lots from a table as spreadsheets write it: first line the names of the columns (species, lot, purity %,
 * germination % are needed; the others are those that {@link #write} writes), then a lot a line. Separated by
 * commas, semicolons or tabs; decimals with point or comma; with or without a byte-order mark. A line that cannot be is told
 * by its number, and the others are read all the same.
 */
public final class LotCsv {
    /** A spreadsheet takes a text that begins so for a formula, also behind a tab, a return or a blank, which it skips. */
    private static final Pattern FORMULA = Pattern.compile("[\\s\\u00a0\\ufeff]*[=+@\\-]|[\\t\\r\\n]");

    /** More lines than any seed store has lots. */
    public static final int MOST_LINES = 5000;

    private static final List<String> NEEDED = List.of("species", "lot", "purity", "germination");

    private final Knowledge knowledge;
    private final List<LotEntry> lots = new ArrayList<>();
    private final List<LineProblem> problems = new ArrayList<>();

    private LotCsv(Knowledge knowledge) {
        this.knowledge = knowledge;
    }

    /** What is wrong with a line; the line of column names is line 1. */
    public record LineProblem(long line, String message) {}

    /** The lots that can be, and the lines that cannot. */
    public record Read(List<LotEntry> lots, List<LineProblem> problems) {}

    /**
     * The lots of a table. Their ids are made from their species and name, so that the same table read twice gives the same.
     *
     * @throws Refused when it is no such table, or has more than {@value #MOST_LINES} lines
     */
    public static Read read(String text, Knowledge knowledge) {
        LotCsv csv = new LotCsv(knowledge);
        csv.readAll(text.startsWith("\uFEFF") ? text.substring(1) : text);
        return new Read(List.copyOf(csv.lots), List.copyOf(csv.problems));
    }

    /** The lots as a table that {@link #read} takes again; prices per kg. */
    public static String write(List<LotEntry> lots, Knowledge knowledge) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter out = new CSVPrinter(text, CSVFormat.RFC4180)) {
            out.printRecord(
                    "species",
                    "lot",
                    "purity %",
                    "germination %",
                    "hard seed %",
                    "germination includes hard seed",
                    "dormant %",
                    "weed seed %",
                    "noxious weeds",
                    "treated with",
                    "coated",
                    "own grown",
                    "hardiness",
                    "tested",
                    "price per kg",
                    "cleaning per kg",
                    "bag kg",
                    "stock kg",
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
                        l.dormantPercent().orElse(null),
                        l.weedSeedPercent().orElse(null),
                        plain(l.noxious().orElse("")),
                        plain(l.treatedWith().orElse("")),
                        said(l.coated()),
                        said(l.ownGrown()),
                        l.hardiness().orElse(null),
                        l.testedOn().orElse(null),
                        l.price().map(q -> q.in(Unit.MONEY_PER_KG)).orElse(null),
                        l.cleaningCost().map(q -> q.in(Unit.MONEY_PER_KG)).orElse(null),
                        l.bagSize().map(q -> q.in(Unit.KILOGRAM)).orElse(null),
                        l.stock().map(q -> q.in(Unit.KILOGRAM)).orElse(null),
                        said(l.inoculated()),
                        plain(l.supplier().orElse("")));
            }
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return text.toString();
    }

    private static String said(Optional<Boolean> yes) {
        return yes.filter(y -> y).map(y -> "yes").orElse(null);
    }

    /** Defused by an apostrophe where a spreadsheet would take it for a formula. */
    static String plain(String text) {
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
        Map<String, Integer> columns = new HashMap<>();
        try (var parser = format.parse(new StringReader(text))) {
            for (CSVRecord line : parser) {
                if (columns.isEmpty()) {
                    head(line, columns);
                } else if (lots.size() + problems.size() >= MOST_LINES) {
                    throw new Refused("", "over " + MOST_LINES + " lines: this is no table of seed lots");
                } else {
                    lot(line, columns, parser.getCurrentLineNumber());
                }
            }
        } catch (IOException | IllegalStateException | java.io.UncheckedIOException e) {
            throw new Refused("", "this table cannot be read: a quotation mark is not closed");
        }
    }

    private static void head(CSVRecord line, Map<String, Integer> columns) {
        for (int i = 0; i < line.size(); i++) {
            String name = line.get(i)
                    .toLowerCase(Locale.ROOT)
                    .replaceAll("\\s*[%(].*| per kg$| kg$", "")
                    .strip();
            columns.putIfAbsent(name, i);
        }
        NEEDED.stream().filter(n -> !columns.containsKey(n)).findFirst().ifPresent(n -> {
            throw new Refused("", "the column '" + n + "' is missing in line 1");
        });
    }

    private void lot(CSVRecord line, Map<String, Integer> columns, long number) {
        try {
            LotEntry lot = entry(line, columns);
            ContextCheck.lot(lot, knowledge);
            if (lots.stream().anyMatch(l -> l.id().equals(lot.id()))) {
                throw new Refused("", "this lot stands in the table twice");
            }
            lots.add(lot);
        } catch (Refused e) {
            Problem p = e.problems().get(0);
            String where = p.pointer().isEmpty()
                    ? ""
                    : DifferenceWords.words(List.of(p.pointer().substring(1))) + ": ";
            problems.add(new LineProblem(number, where + p.message()));
        }
    }

    private LotEntry entry(CSVRecord line, Map<String, Integer> columns) {
        String named = cell(line, columns, "species").orElse("");
        String species = knowledge.species().all().stream()
                .filter(s -> named.equalsIgnoreCase(s.name())
                        || named.equalsIgnoreCase(s.id())
                        || named.equalsIgnoreCase(s.botanical()))
                .findFirst()
                .map(Species::id)
                .orElseThrow(() -> new Refused("/species", "'" + shortly(named) + "' is no species of the library"));
        String label = cell(line, columns, "lot").orElse("");
        String id = "csv-" + species + "-" + label.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        return new LotEntry(
                id.substring(0, Math.min(64, id.length())),
                species,
                label,
                number(line, columns, "purity").orElseThrow(() -> new Refused("/purityPercent", "is missing")),
                number(line, columns, "germination")
                        .orElseThrow(() -> new Refused("/germinationPercent", "is missing")),
                number(line, columns, "hard seed"),
                yes(line, columns, "germination includes hard seed"),
                Optional.empty(),
                cell(line, columns, "tested").map(LotCsv::day),
                number(line, columns, "price").map(v -> new Quantity(v, Unit.MONEY_PER_KG)),
                number(line, columns, "bag").map(kg -> new Quantity(kg, Unit.KILOGRAM)),
                yes(line, columns, "inoculated"),
                cell(line, columns, "supplier"),
                number(line, columns, "stock").map(kg -> new Quantity(kg, Unit.KILOGRAM)),
                number(line, columns, "dormant"),
                number(line, columns, "weed seed"),
                cell(line, columns, "noxious weeds"),
                cell(line, columns, "treated with"),
                yes(line, columns, "coated"),
                yes(line, columns, "own grown"),
                number(line, columns, "cleaning").map(v -> new Quantity(v, Unit.MONEY_PER_KG)),
                cell(line, columns, "hardiness").map(t -> t.toLowerCase(Locale.ROOT)));
    }

    private static Optional<Boolean> yes(CSVRecord line, Map<String, Integer> columns, String column) {
        return cell(line, columns, column)
                .map(t -> t.toLowerCase(Locale.ROOT))
                .filter(t -> !t.equals("no"))
                .map(t -> {
                    if (!t.equals("yes")) {
                        throw new Refused("/" + column, "'" + shortly(t) + "' is neither yes nor no");
                    }
                    return true;
                });
    }

    private static LocalDate day(String text) {
        try {
            return LocalDate.parse(text);
        } catch (DateTimeException e) {
            throw new Refused("/testedOn", "'" + shortly(text) + "' is not a date such as 2027-05-12");
        }
    }

    private static Optional<Double> number(CSVRecord line, Map<String, Integer> columns, String column) {
        return cell(line, columns, column).map(text -> {
            String plain = text.replace("%", "").strip().replace(',', '.');
            if (!plain.matches("-?\\d{1,9}(\\.\\d{1,9})?")) {
                throw new Refused("/" + column, "'" + shortly(text) + "' is no number");
            }
            return Double.valueOf(plain);
        });
    }

    private static Optional<String> cell(CSVRecord line, Map<String, Integer> columns, String column) {
        Integer i = columns.get(column);
        return i == null || i >= line.size()
                ? Optional.empty()
                : Optional.of(line.get(i)).filter(t -> !t.isEmpty());
    }

    private static String shortly(String text) {
        return text.length() > 40 ? text.substring(0, 40) : text;
    }
}
