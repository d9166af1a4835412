package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.server.account.Workspace;
import app.etlo.server.evaluation.FieldRefresh;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** After a change of weather the fields that rest on it are recomputed in the background, by all servers together. */
@ServerTest
class RefreshTest {
    private static final String LIST = "/api/fields";

    @Autowired
    MockMvc mvc;

    @Autowired
    JdbcClient jdbc;

    @Autowired
    ApplicationContext context;

    private Browser browser;
    private long practice;

    @BeforeEach
    void practice() {
        browser = Browser.ofNewPractice(mvc);
        practice = jdbc.sql("select max(workspace_id) from adviser")
                .query(Long.class)
                .single();
    }

    /** Fields of the sample, all on one imported series; the id of that. */
    private String fields(int count) {
        String series = Samples.weatherInto(browser);
        for (int i = 0; i < count; i++) {
            String one = Samples.dossier().replace("\"p1\"", "\"p1-" + i + "\"").replace("\"f1\"", "\"f1-" + i + "\"");
            assertThat(browser.file("/api/dossiers", one.getBytes(StandardCharsets.UTF_8))
                            .status())
                    .isEqualTo(200);
            on("f1-" + i, series);
        }
        return series;
    }

    private void on(String fieldId, String series) {
        JsonNode field = browser.get("/api/fields/" + fieldId).json();
        ObjectNode mine = field.deepCopy();
        mine.put("weather", series);
        assertThat(browser.change("/api/fields/" + fieldId, field.toString(), mine.toString())
                        .status())
                .isEqualTo(200);
    }

    private void readAll() {
        until(() -> browser.get(LIST).json().path("pending").asInt() == 0);
        idle();
    }

    private void idle() {
        until(() -> jdbc.sql("select count(*) from refresh_tasks where task_instance like :mine")
                        .param("mine", practice + "/%")
                        .query(Integer.class)
                        .single()
                == 0);
    }

    private static void until(Supplier<Boolean> so) {
        Instant end = Instant.now().plus(Duration.ofSeconds(60));
        while (!so.get()) {
            assertThat(Instant.now()).isBefore(end);
            LockSupport.parkNanos(Duration.ofMillis(50).toNanos());
        }
    }

    private List<String> computedBy() {
        return summaries("computed_by");
    }

    private List<String> restsOn() {
        return summaries("rests_on");
    }

    private List<String> summaries(String column) {
        return Workspace.acting(
                practice,
                () -> jdbc.sql("select " + column + " from field_summary order by field_ref")
                        .query(String.class)
                        .list());
    }

    private void importAnew(String series) {
        String warmer = Samples.weatherFile().replace(",6.2", ",3.1");
        assertThat(browser.file(
                                "/api/weather?name=Yard&latitude=50&replaces=" + series,
                                warmer.getBytes(StandardCharsets.UTF_8))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void two_servers_share_the_fields_of_a_changed_series() {
        String series = fields(30);
        readAll();
        // a second server is a second one of these on the same queue
        FieldRefresh second = context.getAutowireCapableBeanFactory().createBean(FieldRefresh.class);
        second.start();
        try {
            importAnew(series);
            idle();
        } finally {
            second.stop();
        }
        assertThat(computedBy()).hasSize(30).doesNotContain("a reading");
        assertThat(computedBy().stream().distinct()).hasSize(2);
        assertThat(browser.get(LIST).json().path("pending").asInt()).isZero();
        assertThat(browser.get("/api/refresh").json()).hasToString("{\"waiting\":0,\"fields\":30}");
    }

    @Test
    void what_an_earlier_build_kept_is_no_fault_and_is_computed_anew() {
        fields(2);
        readAll();
        List<String> before = restsOn();
        Workspace.acting(
                practice,
                () -> jdbc.sql("update field_summary set rests_on = 'earlier ' || rests_on, list_row = '{\"name\":1}',"
                                + " section = '{\"passes\":[{\"id\":\"p\"}]}', seed = '[{\"species\":{}}]'")
                        .update());
        assertThat(browser.get("/api/field-sections?field=f1-0&field=f1-1").status())
                .isEqualTo(200);
        assertThat(browser.get("/api/seed").status()).isEqualTo(200);
        assertThat(browser.get(LIST).status()).isEqualTo(200);
        readAll();
        assertThat(restsOn()).isEqualTo(before);
        assertThat(browser.get("/api/field-sections?field=f1-0&field=f1-1").json())
                .hasSize(2);
    }

    @Test
    void fields_on_other_weather_are_left_as_they_are() {
        String series = fields(3);
        on("f1-2", Samples.weatherInto(browser));
        readAll();
        List<String> before = restsOn();
        importAnew(series);
        idle();
        List<String> after = restsOn();
        assertThat(after.get(0)).isNotEqualTo(before.get(0));
        assertThat(after.get(1)).isNotEqualTo(before.get(1));
        assertThat(after.get(2)).isEqualTo(before.get(2));
    }

    @Test
    void another_practice_sees_nothing_of_it() {
        fields(2);
        Browser other = Browser.ofNewPractice(mvc);
        assertThat(other.get("/api/refresh").json()).hasToString("{\"waiting\":0,\"fields\":0}");
    }
}
