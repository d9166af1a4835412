package app.etlo.server.outside;

import app.etlo.core.plan.document.ForecastEntry;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.weather.Forecast;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** Reads what services tell, and believes nothing that cannot be. */
final class Answers {
    private static final double COLDEST_C = -70;
    private static final double HOTTEST_C = 60;
    private static final double WETTEST_MM = 600;
    private static final int MOST_DAYS = 16;
    /** A soil does not leave these. */
    private static final double COLDEST_SOIL_C = -30;

    private static final double HOTTEST_SOIL_C = 60;
    private static final Duration AHEAD = Duration.ofHours(2);

    private Answers() {}

    /**
     * A reading of the soil.
     *
     * @param celsius at that depth
     */
    record Probe(Instant measured, double depthCm, double celsius) {}

    /**
     * @throws NoAnswer for what cannot be a forecast from that day on
     */
    static ForecastEntry forecast(String text, LocalDate from, Instant now) {
        JsonNode tree = tree(text);
        Instant issued = instant(tree.path("issued"), now);
        List<Forecast.Day> days = new ArrayList<>();
        LocalDate expected = from;
        for (JsonNode d : tree.path("days")) {
            if (!d.path("date").asText().equals(expected.toString()) || days.size() >= MOST_DAYS) {
                throw new NoAnswer("sent days that do not follow each other from " + from);
            }
            double low = number(d, "tmin_c", COLDEST_C, HOTTEST_C);
            double high = number(d, "tmax_c", COLDEST_C, HOTTEST_C);
            if (low > high) {
                throw new NoAnswer("sent a night warmer than its day");
            }
            days.add(new Forecast.Day(low, high, number(d, "prcp_mm", 0, WETTEST_MM)));
            expected = expected.plusDays(1);
        }
        if (days.isEmpty()) {
            throw new NoAnswer("sent no days");
        }
        return new ForecastEntry(issued, from, days);
    }

    /**
     * @throws NoAnswer for what cannot be a reading
     */
    static Probe probe(String text, Instant now) {
        JsonNode tree = tree(text);
        return new Probe(
                instant(tree.path("measured"), now),
                number(tree, "depth_cm", 0, 200),
                number(tree, "celsius", COLDEST_SOIL_C, HOTTEST_SOIL_C));
    }

    private static JsonNode tree(String text) {
        try {
            return Json.tree(text);
        } catch (Refused e) {
            throw new NoAnswer("sent what is not JSON");
        }
    }

    private static Instant instant(JsonNode node, Instant now) {
        try {
            Instant at = Instant.parse(node.asText());
            if (at.isAfter(now.plus(AHEAD))) {
                throw new NoAnswer("sent a future time as past");
            }
            return at;
        } catch (DateTimeException e) {
            throw new NoAnswer("sent no time of its answer");
        }
    }

    private static double number(JsonNode node, String name, double low, double high) {
        JsonNode v = node.path(name);
        if (!v.isNumber() || v.asDouble() < low || v.asDouble() > high) {
            throw new NoAnswer("sent a " + name + " that cannot be");
        }
        return v.asDouble();
    }
}
