package app.etlo.bench;

import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.Json;
import app.etlo.testkit.Visitor;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.locks.LockSupport;

/**
 * Fifty people editing at once: ten practices of five, each person dragging a date (five evaluations, one after the other) and
 * letting go (a save), then looking at it for a second or so. Prints percentiles, and looks afterwards whether every
 * acknowledged save is there once.
 */
final class LoadRun {
    private static final int PRACTICES = 10;
    private static final int EACH = 5;
    private static final int DRAGGED = 5;
    private static final long LOOKS_MS = 1000;
    private static final String PASSWORD = "made up for the load";

    private final String base;
    private final long endNanos;
    private final List<Double> saveMs = Collections.synchronizedList(new ArrayList<>());
    private final List<Double> evaluateMs = Collections.synchronizedList(new ArrayList<>());

    private LoadRun(String base, int seconds) {
        this.base = base;
        this.endNanos = System.nanoTime() + seconds * 1_000_000_000L;
    }

    /**
     * @param args the product's address and for how many seconds to edit
     */
    public static void main(String[] args) throws Exception {
        if (args.length != 2) {
            System.err.println("usage: LoadRun http://127.0.0.1:PORT SECONDS");
            System.exit(64);
        }
        new LoadRun(args[0], Integer.parseInt(args[1])).run();
    }

    private record Editor(Visitor visitor, String planId, ObjectNode plan, List<String> acknowledged) {}

    private void run() throws Exception {
        List<Editor> editors = new ArrayList<>();
        for (int p = 0; p < PRACTICES; p++) {
            editors.addAll(practice());
        }
        ExecutorService pool = Executors.newFixedThreadPool(editors.size());
        List<Future<?>> running = new ArrayList<>();
        for (int i = 0; i < editors.size(); i++) {
            Editor editor = editors.get(i);
            long seed = i;
            running.add(pool.submit(() -> {
                edit(editor, new Random(seed));
                return true;
            }));
        }
        for (Future<?> f : running) {
            f.get();
        }
        pool.shutdown();
        int lost = 0;
        int kept = 0;
        for (Editor e : editors) {
            List<String> there = history(e);
            kept += there.size();
            lost += there.equals(e.acknowledged()) ? 0 : 1;
        }
        print("save", saveMs);
        print("evaluate", evaluateMs);
        System.out.printf(
                Locale.ROOT,
                "%d editors, %d saves kept, %d editors with a save lost or doubled%n",
                editors.size(),
                kept,
                lost);
    }

    private List<Editor> practice() throws Exception {
        List<Editor> editors = new ArrayList<>();
        Visitor owner = fresh();
        owner.post(
                        "/api/practices",
                        "{\"practice\":\"Load\",\"email\":\"" + UUID.randomUUID() + "@etlo.example\",\"password\":\""
                                + PASSWORD + "\"}")
                .ok();
        Dossier dossier = Valley.dossier(KnowledgeLoader.shipped());
        JsonNode context = Json.tree(Json.write(dossier.context()));
        owner.put("/api/farms/" + context.path("farm").path("id").asText(), mine(context.path("farm")))
                .ok();
        for (JsonNode lot : context.path("lots")) {
            owner.put("/api/lots/" + lot.path("id").asText(), mine(lot)).ok();
        }
        for (int i = 0; i < EACH; i++) {
            Visitor visitor = i == 0 ? owner : joined(owner);
            ObjectNode field = context.path("field").deepCopy();
            field.put("id", "field-" + i);
            visitor.put("/api/fields/field-" + i, mine(field)).ok();
            JsonNode made =
                    Json.tree(visitor.get("/api/fields/field-" + i + "/plan").ok());
            ObjectNode plan = (ObjectNode) Json.tree(Json.write(dossier.plan()));
            plan.put("id", made.at("/plan/id").asText()).put("fieldId", "field-" + i);
            editors.add(new Editor(visitor, made.at("/plan/id").asText(), plan, new ArrayList<>()));
        }
        return editors;
    }

    private Visitor joined(Visitor owner) throws Exception {
        String token = Json.tree(
                        owner.post("/api/invitations", "{\"role\":\"adviser\"}").ok())
                .path("token")
                .asText();
        Visitor visitor = fresh();
        visitor.post(
                        "/api/invitations/accepted",
                        "{\"token\":\"" + token + "\",\"name\":\"\",\"email\":\"" + UUID.randomUUID()
                                + "@etlo.example\",\"password\":\"" + PASSWORD + "\"}")
                .ok();
        return visitor;
    }

    private Visitor fresh() throws Exception {
        Visitor visitor = new Visitor(base);
        visitor.get("/api/session").ok();
        return visitor;
    }

    private static String mine(JsonNode document) {
        return "{\"mine\":" + document + "}";
    }

    private void edit(Editor e, Random random) throws Exception {
        int revision = 1;
        for (int n = 1; System.nanoTime() < endNanos; n++) {
            e.plan().put("name", "save " + n);
            String ask = "{\"asOf\":\"" + Valley.AS_OF + "\",\"plan\":" + e.plan() + "}";
            for (int i = 0; i < DRAGGED; i++) {
                long start = System.nanoTime();
                e.visitor().post("/api/evaluations", ask).ok();
                evaluateMs.add((System.nanoTime() - start) / 1e6);
            }
            long start = System.nanoTime();
            String saved = e.visitor()
                    .save(
                            e.planId(),
                            e.plan().toString(),
                            revision,
                            UUID.randomUUID().toString())
                    .ok();
            saveMs.add((System.nanoTime() - start) / 1e6);
            revision = Json.tree(saved).path("revision").asInt();
            e.acknowledged().add("save " + n);
            LockSupport.parkNanos((long) (LOOKS_MS * 1e6 * (0.5 + random.nextDouble())));
        }
    }

    /** The names of all saves, oldest first. */
    private static List<String> history(Editor e) throws Exception {
        List<String> names = new ArrayList<>();
        String before = "";
        while (true) {
            JsonNode page = Json.tree(e.visitor()
                    .get("/api/plans/" + e.planId() + "/revisions" + before)
                    .ok());
            for (JsonNode entry : page) {
                if (entry.path("kind").asText().equals("edit")) {
                    for (JsonNode change : entry.path("changes")) {
                        if (change.asText().startsWith("name: ")) {
                            names.add(0, change.asText().replaceFirst(".*→ ", ""));
                        }
                    }
                }
            }
            if (page.size() < 40) {
                return names;
            }
            before = "?before=" + page.get(page.size() - 1).path("number").asInt();
        }
    }

    private static void print(String what, List<Double> ms) {
        double[] sorted = ms.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        System.out.printf(
                Locale.ROOT,
                "%s: %d, p50 %.0f ms, p95 %.0f ms, p99 %.0f ms, slowest %.0f ms%n",
                what,
                sorted.length,
                sorted[sorted.length / 2],
                sorted[sorted.length * 95 / 100],
                sorted[sorted.length * 99 / 100],
                sorted[sorted.length - 1]);
    }
}
