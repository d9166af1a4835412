package app.etlo.bench;

import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.weather.WeatherGenerator;
import app.etlo.core.weather.WeatherSeries;
import app.etlo.testkit.Visitor;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;

/**
 * Over HTTP, in a practice of its own: thirty years of weather from upload to the figures of its charts, and a list of 400
 * fields read for the first time and again.
 */
final class GroundRun {
    private static final int FIELDS = 400;
    private static final int READINGS = 15;
    private static final Map<String, String> FILE = Map.of("Content-Type", "application/octet-stream");

    private final Visitor visitor;

    private GroundRun(String base) {
        this.visitor = new Visitor(base);
    }

    /**
     * @param args the product's address
     */
    public static void main(String[] args) throws Exception {
        new GroundRun(args[0]).run();
    }

    private void run() throws Exception {
        visitor.get("/api/session").ok();
        String email = UUID.randomUUID() + "@bench.example";
        visitor.post(
                        "/api/practices",
                        "{\"practice\":\"Bench\",\"email\":\"" + email + "\",\"password\":\"correct horse bench\"}")
                .ok();
        visitor.get("/api/session").ok();
        weather();
        fields();
    }

    private static String file() {
        WeatherSeries s =
                new WeatherGenerator(KnowledgeLoader.shipped().stations().get("tarrow-ridge")).years(1995, 2024);
        StringBuilder text = new StringBuilder("date,tmin_c,tmax_c,prcp_mm\n");
        for (int i = 0; i < s.days(); i++) {
            text.append(s.date(i))
                    .append(String.format(Locale.ROOT, ",%.1f,%.1f,%.1f%n", s.tminC(i), s.tmaxC(i), s.rainMm(i)));
        }
        return text.toString();
    }

    private void weather() throws Exception {
        String text = file();
        double[] preview = new double[READINGS];
        double[] chart = new double[READINGS];
        for (int i = 0; i < READINGS; i++) {
            long start = System.nanoTime();
            visitor.send("POST", "/api/weather/previews?latitude=43", text, FILE)
                    .ok();
            preview[i] = (System.nanoTime() - start) / 1e6;
            String taken = visitor.send("POST", "/api/weather?name=Yard&latitude=43", text, FILE)
                    .ok();
            String id = taken.replaceAll(".*?\"series\":\\{\"id\":\"([^\"]+)\".*", "$1");
            visitor.get("/api/weather/" + id + "?asOf=" + Valley.AS_OF + "&units=metric")
                    .ok();
            chart[i] = (System.nanoTime() - start) / 1e6;
        }
        System.out.printf(
                Locale.ROOT,
                "weather file of %d lines: preview first %.0f ms, then median %.0f ms;"
                        + " preview, keeping and climate together first %.0f ms, then median %.0f ms%n",
                text.lines().count(),
                preview[0],
                median(preview),
                chart[0],
                median(chart));
    }

    private void fields() throws Exception {
        String sample = Valley.text();
        for (int i = 0; i < FIELDS; i++) {
            String one = sample.replace("plan-kettle-hollow", "plan-" + i)
                    .replace("field-kettle-hollow", "field-" + i)
                    .replace("\"Kettle Hollow\"", "\"Field " + i + "\"");
            visitor.send("POST", "/api/dossiers", one, FILE).ok();
        }
        long start = System.nanoTime();
        int readings = 0;
        double first = 0;
        String list;
        do {
            list = visitor.get("/api/fields").ok();
            readings++;
            first = readings == 1 ? (System.nanoTime() - start) / 1e6 : first;
        } while (!list.endsWith("\"pending\":0}"));
        double all = (System.nanoTime() - start) / 1e6;
        double[] again = new double[READINGS];
        for (int i = 0; i < READINGS; i++) {
            long from = System.nanoTime();
            visitor.get("/api/fields").ok();
            again[i] = (System.nanoTime() - from) / 1e6;
        }
        System.out.printf(
                Locale.ROOT,
                "list of %d fields: first answer after %.0f ms, all computed after %.0f ms in %d readings,"
                        + " from kept summaries median %.0f ms, %d kB%n",
                FIELDS,
                first,
                all,
                readings,
                median(again),
                list.length() / 1000);
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        java.util.Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }
}
