package app.etlo.bench;

import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.plan.document.Json;
import app.etlo.core.weather.WeatherGenerator;
import app.etlo.testkit.Visitor;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;

/**
 * A practice of 2,000 fields on one imported series. The series is imported again; prints how many fields a second are computed in
 * the background, and how long a drag and a save take meanwhile against before.
 */
final class RefreshRun {
    private static final int FIELDS = 2000;
    private static final int DRAGS = 250;
    private static final Map<String, String> FILE = Map.of("Content-Type", "application/octet-stream");

    private final Visitor visitor;
    private int revision = 1;

    private RefreshRun(String base) {
        this.visitor = new Visitor(base);
    }

    /**
     * @param args the product's address
     */
    public static void main(String[] args) throws Exception {
        new RefreshRun(args[0]).run();
    }

    private void run() throws Exception {
        visitor.get("/api/session").ok();
        visitor.post(
                        "/api/practices",
                        "{\"practice\":\"Bench\",\"email\":\"" + UUID.randomUUID()
                                + "@bench.example\",\"password\":\"correct horse bench\"}")
                .ok();
        visitor.get("/api/session").ok();
        String series = visitor.send("POST", "/api/weather?name=Yard&latitude=43", weather(0), FILE)
                .ok()
                .replaceAll(".*?\"series\":\\{\"id\":\"([^\"]+)\".*", "$1");
        String sample = Valley.text().replace("\"station\": \"ferrin-valley\"", "\"weather\": \"" + series + "\"");
        for (int i = 0; i < FIELDS; i++) {
            String one = sample.replace("plan-kettle-hollow", "plan-" + i)
                    .replace("field-kettle-hollow", "field-" + i)
                    .replace("\"Kettle Hollow\"", "\"Field " + i + "\"");
            visitor.send("POST", "/api/dossiers", one, FILE).ok();
        }
        long start = System.nanoTime();
        visitor.get("/api/fields").ok();
        untilReckoned();
        double first = (System.nanoTime() - start) / 1e9;
        drag(DRAGS);
        double[][] before = drag(DRAGS);
        start = System.nanoTime();
        visitor.send("POST", "/api/weather?name=Yard&latitude=43&replaces=" + series, weather(0.4), FILE)
                .ok();
        double imported = (System.nanoTime() - start) / 1e6;
        double[][] meanwhile = drag(DRAGS);
        int left = waiting();
        if (left == 0) {
            throw new IllegalStateException("all fields were computed before the drags ended");
        }
        untilReckoned();
        double all = (System.nanoTime() - start) / 1e9;
        System.out.printf(
                Locale.ROOT,
                "%d fields computed in the background: the first time %.0f s (%.0f a second), after a change of weather"
                        + " %.0f s (%.0f a second) with somebody dragging for part of it; import answered after %.0f ms%n"
                        + "drag p50 %.0f ms, p95 %.0f ms before; %.0f ms, %.0f ms meanwhile (%.1f and %.1f times)%n"
                        + "save p50 %.0f ms, p95 %.0f ms before; %.0f ms, %.0f ms meanwhile (%.1f and %.1f times)%n",
                FIELDS,
                first,
                FIELDS / first,
                all,
                FIELDS / all,
                imported,
                at(before[0], 0.5),
                at(before[0], 0.95),
                at(meanwhile[0], 0.5),
                at(meanwhile[0], 0.95),
                at(meanwhile[0], 0.5) / at(before[0], 0.5),
                at(meanwhile[0], 0.95) / at(before[0], 0.95),
                at(before[1], 0.5),
                at(before[1], 0.95),
                at(meanwhile[1], 0.5),
                at(meanwhile[1], 0.95),
                at(meanwhile[1], 0.5) / at(before[1], 0.5),
                at(meanwhile[1], 0.95) / at(before[1], 0.95));
    }

    /** Thirty years of days, each wetter by so many mm. */
    private static String weather(double wetterMm) {
        var s = new WeatherGenerator(KnowledgeLoader.shipped().stations().get("ferrin-valley")).years(1995, 2024);
        StringBuilder text = new StringBuilder("date,tmin_c,tmax_c,prcp_mm\n");
        for (int i = 0; i < s.days(); i++) {
            text.append(String.format(
                    Locale.ROOT, "%s,%.1f,%.1f,%.1f%n", s.date(i), s.tminC(i), s.tmaxC(i), s.rainMm(i) + wetterMm));
        }
        return text.toString();
    }

    /** Milliseconds of evaluations with a date moved to and fro, and of a save after every fifth. */
    private double[][] drag(int times) throws Exception {
        JsonNode plan = Json.tree(visitor.get("/api/plans/plan-0").ok()).path("plan");
        double[] drags = new double[times];
        double[] saves = new double[times / 5];
        for (int i = 0; i < times; i++) {
            String moved = plan.toString().replaceAll("2027-04-\\d\\d", "2027-04-" + (12 + i % 12));
            long start = System.nanoTime();
            visitor.post("/api/evaluations", "{\"asOf\":\"" + Valley.AS_OF + "\",\"plan\":" + moved + "}")
                    .ok();
            drags[i] = (System.nanoTime() - start) / 1e6;
            if (i % 5 == 4) {
                start = System.nanoTime();
                String saved = visitor.save(
                                "plan-0", moved, revision, UUID.randomUUID().toString())
                        .ok();
                saves[i / 5] = (System.nanoTime() - start) / 1e6;
                revision = Json.tree(saved).path("revision").asInt();
            }
        }
        return new double[][] {drags, saves};
    }

    private int waiting() throws Exception {
        return Json.tree(visitor.get("/api/refresh").ok()).path("waiting").asInt();
    }

    /** Until the list says that nothing is pending; looked at once a second. */
    private void untilReckoned() throws Exception {
        boolean all = false;
        while (!all) {
            Thread.sleep(1000);
            all = waiting() == 0 && visitor.get("/api/fields").ok().endsWith("\"pending\":0}");
        }
    }

    private static double at(double[] values, double share) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[(int) (share * (sorted.length - 1))];
    }
}
