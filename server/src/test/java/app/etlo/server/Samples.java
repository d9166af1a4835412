package app.etlo.server;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Objects;
import org.springframework.test.web.servlet.MockMvc;

/** The sample dossier: one farm, one field, two lots, two crops and the cover between them. */
final class Samples {
    private Samples() {}

    static String dossier() {
        try (InputStream in = Objects.requireNonNull(Samples.class.getResourceAsStream("/upper-bank.json"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static JsonNode plan() {
        try {
            return Browser.JSON.readTree(dossier()).path("plan");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Takes the sample into the practice of this browser; the plan is p1 at revision 1. */
    static void into(Browser browser) {
        Browser.Answer taken = browser.file("/api/dossiers", dossier().getBytes(StandardCharsets.UTF_8));
        if (taken.status() != 200) {
            throw new IllegalStateException(taken.text());
        }
    }

    /** A browser of a new practice with the sample, its field under the weather of a station. */
    static Browser underWeather(MockMvc mvc) {
        Browser us = Browser.ofNewPractice(mvc);
        into(us);
        String field = us.get("/api/fields/f1").json().toString();
        us.change("/api/fields/f1", field, field.replaceFirst("\\{", "{\"station\":\"tarrow-ridge\","));
        return us;
    }

    /** What is asked of the first cover of the sample. */
    static ObjectNode ask() {
        ObjectNode ask = Browser.JSON
                .createObjectNode()
                .put("asOf", "2026-06-01")
                .put("coverId", plan().at("/covers/0/id").asText());
        ask.set("plan", plan());
        return ask;
    }

    /** Two years of weather that repeats itself day by day, as a plain file. */
    static String weatherFile() {
        StringBuilder text = new StringBuilder("date,tmin_c,tmax_c,prcp_mm\n");
        for (LocalDate d = LocalDate.of(2023, 1, 1); d.getYear() < 2025; d = d.plusDays(1)) {
            double mean = 10 - 11 * Math.cos((d.getDayOfYear() - 15) * 2 * Math.PI / 365);
            text.append(String.format(
                    Locale.ROOT, "%s,%.1f,%.1f,%.1f%n", d, mean - 5, mean + 5, d.getDayOfMonth() % 3 == 0 ? 6.2 : 0));
        }
        return text.toString();
    }

    /** Takes a weather file into the practice; the id of its series. */
    static String weatherInto(Browser browser) {
        Browser.Answer taken =
                browser.file("/api/weather?name=Yard&latitude=50", weatherFile().getBytes(StandardCharsets.UTF_8));
        if (taken.status() != 200) {
            throw new IllegalStateException(taken.text());
        }
        return taken.json().at("/series/id").asText();
    }
}
