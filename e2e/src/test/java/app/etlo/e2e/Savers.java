package app.etlo.e2e;

import app.etlo.testkit.Visitor;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.awaitility.Awaitility;

/** Several editors, each saving a plan of its own over and over, and sending again under the same id what got no answer. */
final class Savers implements AutoCloseable {
    private static final ObjectMapper JSON = new ObjectMapper();

    private final ExecutorService pool;
    private final List<Saver> savers = new ArrayList<>();
    private final List<Future<?>> running = new ArrayList<>();
    private final Semaphore acknowledged = new Semaphore(0);
    private volatile boolean enough;
    private volatile String lastAnswer = "";

    Savers(Visitor visitor, int editors) throws IOException, InterruptedException {
        visitor.put(
                        "/api/farms/farm1",
                        mine("{\"id\":\"farm1\",\"name\":\"Vale\",\"units\":\"metric\",\"currency\":\"EUR\"}"))
                .ok();
        for (int i = 0; i < editors; i++) {
            String field = "f" + i;
            visitor.put(
                            "/api/fields/" + field,
                            mine("{\"id\":\"" + field + "\",\"farmId\":\"farm1\",\"name\":\"" + field
                                    + "\",\"area\":{\"value\":3,\"unit\":\"ha\"}}"))
                    .ok();
            JsonNode plan =
                    JSON.readTree(visitor.get("/api/fields/" + field + "/plan").ok());
            savers.add(new Saver(visitor, (ObjectNode) plan.path("plan")));
        }
        pool = Executors.newFixedThreadPool(editors);
    }

    private static String mine(String document) {
        return "{\"mine\":" + document + "}";
    }

    void start() {
        savers.forEach(s -> running.add(pool.submit(s)));
    }

    /** Waits until so many more saves have been acknowledged; an editor who gave up ends the wait with why. */
    void awaitAcknowledged(int more) throws Exception {
        for (int waited = 0; !acknowledged.tryAcquire(more, 1, TimeUnit.SECONDS); waited++) {
            for (Future<?> f : running) {
                if (f.isDone()) {
                    f.get();
                }
            }
            if (waited > 60) {
                throw new IllegalStateException("nobody gets a save acknowledged any more; last answer: " + lastAnswer);
            }
        }
    }

    /** Lets every editor finish what it is at. */
    void finish() throws Exception {
        enough = true;
        for (Future<?> f : running) {
            f.get(120, TimeUnit.SECONDS);
        }
    }

    /** What was acknowledged and is not there, or is there twice, or was never sent. */
    List<String> faults(Visitor visitor) throws IOException, InterruptedException {
        List<String> faults = new ArrayList<>();
        for (Saver s : savers) {
            List<String> kept = s.kept(visitor);
            if (!kept.equals(s.acknowledged)) {
                faults.add("kept " + kept + " but acknowledged " + s.acknowledged);
            }
        }
        return faults;
    }

    @Override
    public void close() {
        enough = true;
        pool.shutdownNow();
    }

    private final class Saver implements Runnable {
        private final Visitor visitor;
        private final ObjectNode plan;
        private final List<String> acknowledged = Collections.synchronizedList(new ArrayList<>());

        private Saver(Visitor visitor, ObjectNode plan) {
            this.visitor = visitor;
            this.plan = plan;
        }

        @Override
        public void run() {
            int revision = 1;
            for (int n = 1; !enough; n++) {
                String name = "save " + n;
                plan.put("name", name);
                String request = UUID.randomUUID().toString();
                int parent = revision;
                revision = Awaitility.await()
                        .atMost(Duration.ofSeconds(100))
                        .pollInterval(Duration.ofMillis(50))
                        .pollDelay(Duration.ZERO)
                        .until(() -> save(parent, request), r -> r > 0);
                acknowledged.add(name);
                Savers.this.acknowledged.release();
            }
        }

        /** The revision a save made, or 0 when it is not known to have been taken. */
        private int save(int parent, String request) throws InterruptedException {
            try {
                Visitor.Answer a = visitor.save(plan.path("id").asText(), plan.toString(), parent, request);
                if (a.status() == 200) {
                    return JSON.readTree(a.body()).path("revision").asInt();
                }
                lastAnswer = a.status() + " " + a.body();
                if (a.status() < 500) {
                    throw new IllegalStateException(a.status() + " " + a.body());
                }
                return 0;
            } catch (IOException e) {
                lastAnswer = e.toString();
                return 0;
            }
        }

        /** The names of all kept revisions, oldest first. */
        private List<String> kept(Visitor asking) throws IOException, InterruptedException {
            List<String> names = new ArrayList<>();
            String before = "";
            while (true) {
                JsonNode page =
                        JSON.readTree(asking.get("/api/plans/" + plan.path("id").asText() + "/revisions" + before)
                                .ok());
                for (JsonNode entry : page) {
                    if (entry.path("kind").asText().equals("edit")) {
                        names.add(0, entry.at("/changes/0").asText().replaceFirst(".*→ ", ""));
                    }
                }
                if (page.size() < 40) {
                    return names;
                }
                before = "?before=" + page.get(page.size() - 1).path("number").asInt();
            }
        }
    }
}
