package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.node.ObjectNode;
import com.zaxxer.hikari.HikariDataSource;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import javax.sql.DataSource;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** Connections of the database are given back before anything is simulated, so that saves find one. */
@ServerTest
class ConnectionsTest {
    private static final int ASKING = 24;

    @Autowired
    MockMvc mvc;

    @Autowired
    DataSource database;

    @Test
    void while_many_plans_are_simulated_no_connection_is_held_and_a_save_goes_through() throws Exception {
        Browser browser = Browser.ofNewPractice(mvc);
        Samples.into(browser);
        String field = browser.get("/api/fields/f1").json().toString();
        browser.change("/api/fields/f1", field, field.replaceFirst("\\{", "{\"station\":\"tarrow-ridge\","));
        HikariDataSource pool = database.unwrap(HikariDataSource.class);
        AtomicInteger left = new AtomicInteger(ASKING);
        ExecutorService people = Executors.newFixedThreadPool(ASKING);
        List<Future<Integer>> answers = new ArrayList<>();
        try {
            for (int i = 0; i < ASKING; i++) {
                ObjectNode plan = Samples.plan().deepCopy();
                plan.put("name", "plan " + i);
                ObjectNode ask = Browser.JSON.createObjectNode().put("asOf", "2026-06-01");
                ask.set("plan", plan);
                answers.add(people.submit(() -> {
                    int status = browser.post("/api/evaluations", ask).status();
                    left.decrementAndGet();
                    return status;
                }));
            }
            Awaitility.await()
                    .pollInterval(Duration.ofMillis(2))
                    .atMost(Duration.ofSeconds(30))
                    .until(() -> left.get() > ASKING / 3
                            && left.get() < ASKING
                            && pool.getHikariPoolMXBean().getActiveConnections() == 0);
            assertThat(browser.save(Samples.plan(), 1, "while-they-wait").status())
                    .isEqualTo(200);
            for (Future<Integer> a : answers) {
                assertThat(a.get()).isEqualTo(200);
            }
        } finally {
            people.shutdownNow();
        }
    }
}
