package app.etlo.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.testkit.Visitor;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
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
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Many people at once: nobody gets a fault of the server, and nothing that was acknowledged is lost. */
class LoadIT {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final String PASSWORD = "correct horse";
    /** Beside the other tests of a run not more than the machine can do for them; scripts/attack.sh sets fifty. */
    private static final int PEOPLE = Integer.getInteger("etlo.people", 10);

    private static final int DRAGGED = 5;
    /** For so long they edit; scripts/attack.sh sets more. */
    private static final int SECONDS = Integer.getInteger("etlo.load-seconds", 8);

    private static Product product;

    private final List<Double> saveMs = Collections.synchronizedList(new ArrayList<>());
    private final List<Double> evaluateMs = Collections.synchronizedList(new ArrayList<>());
    private final List<Double> listMs = Collections.synchronizedList(new ArrayList<>());
    private final List<String> faults = Collections.synchronizedList(new ArrayList<>());

    @BeforeAll
    static void start() throws Exception {
        product = Product.fresh()
                .with("ETLO_DAY", "2026-06-01")
                // all of them from one address; each evaluates as fast as the answers come
                .with("ETLO_LIMITS_EVALUATE_SESSION", "60000")
                .with("ETLO_LIMITS_EVALUATE_ADDRESS", "600000")
                .with("ETLO_LIMITS_EVALUATE_BURST", "60000")
                .with("ETLO_LIMITS_IMPORTS_SESSION", "60000")
                .with("ETLO_LIMITS_IMPORTS_BURST", "60000")
                .with("ETLO_JAVA_OPTIONS", "-XX:+UseSerialGC");
        product.start();
    }

    @AfterAll
    static void stop() throws Exception {
        product.close();
    }

    private record Person(Visitor visitor, String planId, JsonNode plan, List<String> acknowledged) {}

    @Test
    void people_who_drag_save_and_look_at_once_get_no_fault_and_lose_nothing() throws Exception {
        List<Person> people = new ArrayList<>();
        Visitor owner = null;
        for (int i = 0; i < PEOPLE; i++) {
            if (i % 5 == 0) {
                owner = product.practice(UUID.randomUUID() + "@example.org", PASSWORD);
            }
            String dossier = Product.resource("/upper-bank.json")
                    .replace("\"p1\"", "\"p-" + i + "\"")
                    .replace("\"id\": \"f1\",", "\"id\": \"f1\", \"station\": \"tarrow-ridge\",")
                    .replace("\"f1\"", "\"f-" + i + "\"");
            owner.send("POST", "/api/dossiers", dossier, Map.of("Content-Type", "application/octet-stream"))
                    .ok();
            JsonNode saved = JSON.readTree(owner.get("/api/plans/p-" + i).ok());
            people.add(new Person(owner, "p-" + i, saved.path("plan"), new ArrayList<>()));
        }
        ExecutorService pool = Executors.newFixedThreadPool(PEOPLE);
        long end = System.nanoTime() + SECONDS * 1_000_000_000L;
        List<Future<?>> running = new ArrayList<>();
        for (Person p : people) {
            running.add(pool.submit(() -> {
                edit(p, end);
                return true;
            }));
        }
        for (Future<?> f : running) {
            f.get(SECONDS + 240L, TimeUnit.SECONDS);
        }
        pool.shutdown();
        tell("save", saveMs);
        tell("evaluate", evaluateMs);
        tell("list", listMs);
        assertThat(faults).isEmpty();
        for (Person p : people) {
            assertThat(names(p)).as(p.planId()).isEqualTo(p.acknowledged());
        }
    }

    private void edit(Person p, long end) throws Exception {
        com.fasterxml.jackson.databind.node.ObjectNode plan = p.plan().deepCopy();
        int revision = 1;
        for (int n = 1; System.nanoTime() < end; n++) {
            plan.put("name", "save " + n);
            String ask = "{\"asOf\":\"2026-06-01\",\"plan\":" + plan + "}";
            for (int i = 0; i < DRAGGED; i++) {
                timed(evaluateMs, () -> p.visitor().post("/api/evaluations", ask));
            }
            int parent = revision;
            Visitor.Answer saved = timed(
                    saveMs,
                    () -> p.visitor()
                            .save(
                                    p.planId(),
                                    plan.toString(),
                                    parent,
                                    UUID.randomUUID().toString()));
            if (saved.status() == 200) {
                revision = JSON.readTree(saved.body()).path("revision").asInt();
                p.acknowledged().add("save " + n);
            }
            timed(listMs, () -> p.visitor().get("/api/fields"));
            LockSupport.parkNanos(500_000_000L);
        }
    }

    private interface Call {
        Visitor.Answer make() throws Exception;
    }

    private Visitor.Answer timed(List<Double> into, Call call) throws Exception {
        long start = System.nanoTime();
        Visitor.Answer a = call.make();
        into.add((System.nanoTime() - start) / 1e6);
        if (a.status() >= 400) {
            faults.add(a.status() + " " + a.body());
        }
        return a;
    }

    private static List<String> names(Person p) throws Exception {
        List<String> names = new ArrayList<>();
        String before = "";
        while (true) {
            JsonNode page = JSON.readTree(p.visitor()
                    .get("/api/plans/" + p.planId() + "/revisions" + before)
                    .ok());
            for (JsonNode entry : page) {
                for (JsonNode change : entry.path("changes")) {
                    if (change.asText().startsWith("name: ")) {
                        names.add(0, change.asText().replaceFirst(".*→ ", ""));
                    }
                }
            }
            if (page.size() < 40) {
                return names;
            }
            before = "?before=" + page.get(page.size() - 1).path("number").asInt();
        }
    }

    private static void tell(String what, List<Double> ms) {
        double[] sorted = ms.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        System.out.println(String.format(
                Locale.ROOT,
                "%s: %d, p50 %.0f ms, p95 %.0f ms, p99 %.0f ms, slowest %.0f ms",
                what,
                sorted.length,
                sorted[sorted.length / 2],
                sorted[sorted.length * 95 / 100],
                sorted[sorted.length * 99 / 100],
                Arrays.stream(sorted).max().orElse(0)));
    }
}
