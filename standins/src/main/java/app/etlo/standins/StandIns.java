package app.etlo.standins;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/**
 * A forecast service and a soil probe that answer with made-up values. {@code /forecast?lat=&lon=&from=} returns ten days,
 * {@code /soil-temperature?lat=&lon=&on=} one reading; a real service takes their place by its address.
 */
public final class StandIns {
    private static final ObjectMapper JSON = new ObjectMapper();

    private final StandInWeather weather = new StandInWeather();
    private final Clock clock;

    private StandIns(Clock clock) {
        this.clock = clock;
    }

    /**
     * @param args the port to answer on; 0 for any free one
     */
    public static void main(String[] args) throws IOException {
        HttpServer server = start(args.length > 0 ? Integer.parseInt(args[0]) : 0, Clock.systemUTC());
        System.out.println("stand-ins answer on port " + server.getAddress().getPort());
    }

    /** Starts both on one loopback port. */
    public static HttpServer start(int port, Clock clock) throws IOException {
        StandIns standIns = new StandIns(clock);
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 20);
        server.createContext("/forecast", e -> standIns.answer(e, standIns::forecast));
        server.createContext("/soil-temperature", e -> standIns.answer(e, standIns::soil));
        server.start();
        return server;
    }

    private interface Answer {
        ObjectNode to(Map<String, String> asked);
    }

    private ObjectNode forecast(Map<String, String> asked) {
        ObjectNode answer = JSON.createObjectNode();
        answer.put("issued", clock.instant().toString());
        ArrayNode days = answer.putArray("days");
        weather.forecast(number(asked, "lat"), number(asked, "lon"), LocalDate.parse(asked.getOrDefault("from", "")))
                .forEach(d -> days.addObject()
                        .put("date", d.date().toString())
                        .put("tmin_c", d.tminC())
                        .put("tmax_c", d.tmaxC())
                        .put("prcp_mm", d.prcpMm()));
        return answer;
    }

    private ObjectNode soil(Map<String, String> asked) {
        LocalDate on = LocalDate.parse(asked.getOrDefault("on", ""));
        return JSON.createObjectNode()
                .put("measured", clock.instant().toString())
                .put("depth_cm", 5)
                .put("celsius", weather.soilC(number(asked, "lat"), on));
    }

    private static double number(Map<String, String> asked, String name) {
        return Double.parseDouble(asked.getOrDefault(name, ""));
    }

    private void answer(HttpExchange exchange, Answer to) throws IOException {
        Map<String, String> asked = new HashMap<>();
        String query = exchange.getRequestURI().getQuery();
        Arrays.stream(query == null ? new String[0] : query.split("&"))
                .map(p -> p.split("=", 2))
                .filter(p -> p.length == 2)
                .forEach(p -> asked.put(p[0], p[1]));
        int status = 200;
        String text;
        try {
            text = to.to(asked).toString();
        } catch (RuntimeException e) {
            status = 400;
            text = "{\"error\":\"lat and lon in degrees, from or on as 2027-05-12\"}";
        }
        byte[] body = text.getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().set("Content-Type", "application/json");
        exchange.sendResponseHeaders(status, body.length);
        try (var out = exchange.getResponseBody()) {
            out.write(body);
        }
    }
}
