package app.etlo.core.knowledge;

import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** A knowledge table: comma-separated values with a header line. */
final class Table {
    private final String file;
    private final List<Row> rows = new ArrayList<>();

    /**
     * @throws BadRow when the file is no readable table
     */
    Table(String file, Reader text) {
        this.file = file;
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get();
        try (CSVParser parser = format.parse(text)) {
            Set<String> columns = Set.copyOf(parser.getHeaderNames());
            for (CSVRecord r : parser) {
                rows.add(new Row(file, columns, r.toMap(), parser.getCurrentLineNumber()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(file, e);
        } catch (UncheckedIOException e) {
            throw new BadRow(file, rows.size() + 2L, "any", e.getMessage());
        }
    }

    List<Row> rows() {
        return List.copyOf(rows);
    }

    /** Reads every row; two rows of one id are refused. */
    <T> Map<String, T> byId(Function<Row, T> read) {
        Map<String, T> found = new LinkedHashMap<>();
        for (Row r : rows) {
            if (found.put(r.id("id"), read.apply(r)) != null) {
                throw r.bad("id", "'" + r.id("id") + "' stands twice in " + file);
            }
        }
        return found;
    }
}
