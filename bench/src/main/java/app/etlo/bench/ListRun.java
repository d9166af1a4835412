package app.etlo.bench;

import app.etlo.core.plan.document.Json;
import app.etlo.testkit.Visitor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/**
 * The list of a practice of many fields over HTTP: a page and its pictures for one reader, then for fifty at once who read pages,
 * search, filter and sort. Counts what was not answered with success.
 */
final class ListRun {
    private static final int READERS = 50;
    private static final int ROUNDS = 8;
    private static final int IN_SIGHT = 12;
    private static final Map<String, String> FILE = Map.of("Content-Type", "application/octet-stream");
    private static final List<String> ASKED = List.of(
            "/api/fields",
            "/api/fields?order=name",
            "/api/fields?find=field%2017",
            "/api/fields?show=due",
            "/api/fields?order=farm");

    private final Visitor visitor;
    private final List<Double> ms = Collections.synchronizedList(new ArrayList<>());
    private final List<Integer> faults = Collections.synchronizedList(new ArrayList<>());

    private ListRun(String base) {
        this.visitor = new Visitor(base);
    }

    /**
     * Runs it.
     *
     * @param args the product's address and how many fields
     */
    public static void main(String[] args) throws Exception {
        new ListRun(args[0]).run(Integer.parseInt(args[1]));
    }

    private void run(int fields) throws Exception {
        visitor.get("/api/session").ok();
        visitor.post(
                        "/api/practices",
                        "{\"practice\":\"Bench\",\"email\":\"" + UUID.randomUUID()
                                + "@bench.example\",\"password\":\"correct horse bench\"}")
                .ok();
        String sample = Valley.text();
        for (int i = 0; i < fields; i++) {
            String one = sample.replace("plan-kettle-hollow", "plan-" + i)
                    .replace("field-kettle-hollow", "field-" + i)
                    .replace("\"Kettle Hollow\"", "\"Field " + i + "\"");
            visitor.send("POST", "/api/dossiers", one, FILE).ok();
        }
        long start = System.nanoTime();
        while (Json.tree(visitor.get("/api/fields").ok()).path("pending").asInt() > 0) {
            Thread.sleep(2000);
        }
        System.out.printf(Locale.ROOT, "%d fields computed after %.0f s%n", fields, (System.nanoTime() - start) / 1e9);
        String page = visitor.get("/api/fields").ok();
        for (int i = 0; i < 30; i++) {
            read("/api/fields");
        }
        tell("one reader, a page of 50, " + page.length() / 1000 + " kB before compression");
        StringBuilder sight = new StringBuilder("/api/field-sections?field=field-0");
        for (int i = 1; i < IN_SIGHT; i++) {
            sight.append("&field=field-").append(i);
        }
        for (int i = 0; i < 10; i++) {
            read(sight.toString());
        }
        tell("pictures of " + IN_SIGHT + " rows, "
                + visitor.get(sight.toString()).ok().length() / 1000 + " kB");
        ExecutorService pool = Executors.newFixedThreadPool(READERS);
        List<Future<?>> running = new ArrayList<>();
        for (int r = 0; r < READERS; r++) {
            int from = r;
            running.add(pool.submit(() -> {
                for (int i = 0; i < ROUNDS; i++) {
                    read(ASKED.get((from + i) % ASKED.size()));
                    read(sight.toString());
                }
                return true;
            }));
        }
        for (Future<?> f : running) {
            f.get();
        }
        pool.shutdown();
        tell(READERS + " readers at once");
    }

    private void read(String path) throws Exception {
        long start = System.nanoTime();
        int status = visitor.get(path).status();
        ms.add((System.nanoTime() - start) / 1e6);
        if (status != 200) {
            faults.add(status);
        }
    }

    private void tell(String what) {
        double[] sorted = ms.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        System.out.printf(
                Locale.ROOT,
                "%s: %d reads, p50 %.0f ms, p99 %.0f ms, slowest %.0f ms, not answered %s%n",
                what,
                sorted.length,
                sorted[sorted.length / 2],
                sorted[sorted.length * 99 / 100],
                Arrays.stream(sorted).max().orElse(0),
                faults);
        ms.clear();
    }
}
