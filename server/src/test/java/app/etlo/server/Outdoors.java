package app.etlo.server;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;

/** A world outside for the tests: what it answers is said for each latitude; for others it is not there. */
final class Outdoors {
    private static final Map<String, Supplier<String>> ANSWERS = new ConcurrentHashMap<>();
    private static final HttpServer SERVER = start();

    private Outdoors() {}

    static String url(String service) {
        return "http://127.0.0.1:" + SERVER.getAddress().getPort() + "/" + service;
    }

    /** What a service says of places at a latitude from now on. */
    static void says(String service, double latitude, Supplier<String> answer) {
        ANSWERS.put(service + " " + latitude, answer);
    }

    /** An answer that does not come until the latch is open. */
    static Supplier<String> held(CountDownLatch latch) {
        return () -> {
            try {
                latch.await(30, TimeUnit.SECONDS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            return "{}";
        };
    }

    private static HttpServer start() {
        try {
            HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 20);
            server.setExecutor(Executors.newCachedThreadPool(r -> {
                Thread t = new Thread(r);
                t.setDaemon(true);
                return t;
            }));
            server.createContext("/", e -> {
                String query = e.getRequestURI().getQuery();
                String latitude = query.replaceAll(".*lat=([-0-9.]+).*", "$1");
                Supplier<String> answer =
                        ANSWERS.get(e.getRequestURI().getPath().substring(1) + " " + Double.parseDouble(latitude));
                byte[] body = (answer == null ? "gone" : answer.get()).getBytes(StandardCharsets.UTF_8);
                e.sendResponseHeaders(answer == null ? 503 : 200, body.length);
                try (var out = e.getResponseBody()) {
                    out.write(body);
                }
            });
            server.start();
            return server;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
