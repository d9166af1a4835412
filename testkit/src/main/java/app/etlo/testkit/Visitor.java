package app.etlo.testkit;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.stream.Collectors;

/** Asks a running server as a browser does: keeps cookies and sends the token back that proves a change comes from it. */
public final class Visitor {
    private static final Duration PATIENCE = Duration.ofSeconds(30);

    private final CookieManager cookies;
    private final HttpClient http;
    private final String base;

    public Visitor(String base) {
        this(base, new CookieManager());
    }

    private Visitor(String base, CookieManager cookies) {
        this.base = base;
        this.cookies = cookies;
        this.http = HttpClient.newBuilder()
                .version(HttpClient.Version.HTTP_1_1)
                .connectTimeout(PATIENCE)
                .cookieHandler(cookies)
                .build();
    }

    /** The same browser at another server. */
    public Visitor at(String otherBase) {
        return new Visitor(otherBase, cookies);
    }

    /** What came back. */
    public record Answer(int status, String body, Map<String, java.util.List<String>> headers) {
        /** The body, which must be one of success. */
        public String ok() {
            if (status < 200 || status > 299) {
                throw new IllegalStateException(status + " " + body);
            }
            return body;
        }
    }

    /** The cookies as a header, for connections made by hand. */
    public String cookie() {
        return cookies.getCookieStore().getCookies().stream()
                .map(c -> c.getName() + "=" + c.getValue())
                .collect(Collectors.joining("; "));
    }

    /** The token that proves a change comes from this browser; empty before the first page. */
    public String token() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    public Answer get(String path) throws IOException, InterruptedException {
        return send("GET", path, null, Map.of());
    }

    public Answer post(String path, String body) throws IOException, InterruptedException {
        return send("POST", path, body, Map.of());
    }

    public Answer put(String path, String body) throws IOException, InterruptedException {
        return send("PUT", path, body, Map.of());
    }

    /** Sends a plan on top of a revision, under an id by which it may be sent again. */
    public Answer save(String planId, String plan, int parent, String requestId)
            throws IOException, InterruptedException {
        return send(
                "PUT",
                "/api/plans/" + planId,
                plan,
                Map.of("If-Match", String.valueOf(parent), "X-Request-Id", requestId));
    }

    public Answer send(String method, String path, String body, Map<String, String> headers)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .timeout(PATIENCE)
                .method(
                        method,
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body));
        if (body != null && !headers.containsKey("Content-Type")) {
            request.header("Content-Type", "application/json");
        }
        headers.forEach(request::header);
        if (!token().isEmpty()) {
            request.header("X-XSRF-TOKEN", token());
        }
        HttpResponse<String> answer =
                http.send(request.build(), HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
        return new Answer(answer.statusCode(), answer.body(), answer.headers().map());
    }
}
