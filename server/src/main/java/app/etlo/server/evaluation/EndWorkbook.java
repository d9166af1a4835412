package app.etlo.server.evaluation;

import app.etlo.core.plan.asked.EndDates.DatesView;
import app.etlo.core.plan.asked.EndRows.PointView;
import app.etlo.core.plan.asked.EndRows.RowView;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** The table of days as a workbook: a line a day, for each consequence the middle of the years and the band of 8 in 10. */
final class EndWorkbook {
    private EndWorkbook() {}

    static byte[] of(DatesView dates) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "Etlo", "1.0")) {
            Worksheet sheet = book.newWorksheet("Days of the end");
            sheet.value(0, 0, "cover ended on");
            int column = 1;
            TreeSet<LocalDate> days = new TreeSet<>();
            for (RowView row : dates.rows()) {
                String name = row.name() + (row.unit().isEmpty() ? "" : " (" + row.unit() + ")");
                for (String part : List.of("", ", 1 year in 10 under", ", 1 year in 10 over")) {
                    sheet.value(0, column++, name + part);
                }
                row.points().forEach(p -> days.add(p.on()));
            }
            int line = 1;
            for (LocalDate day : days) {
                sheet.value(line, 0, day);
                sheet.style(line, 0).format("yyyy-mm-dd").set();
                line++;
            }
            fill(sheet, dates, List.copyOf(days));
            sheet.freezePane(1, 1);
            book.finish();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static void fill(Worksheet sheet, DatesView dates, List<LocalDate> days) {
        for (int r = 0; r < dates.rows().size(); r++) {
            Map<LocalDate, PointView> byDay =
                    dates.rows().get(r).points().stream().collect(Collectors.toMap(PointView::on, p -> p));
            for (int d = 0; d < days.size(); d++) {
                PointView p = byDay.get(days.get(d));
                if (p != null) {
                    sheet.value(d + 1, 3 * r + 1, p.middle());
                    sheet.value(d + 1, 3 * r + 2, p.low());
                    sheet.value(d + 1, 3 * r + 3, p.high());
                }
            }
        }
    }
}
