package app.etlo.bench;

import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.plan.document.Json;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.Locale;

/** Evaluations over HTTP against the running demo, one after the other as a drag sends them; prints percentiles. */
final class HttpRun {
    private static final int WARM_UP = 600;
    private static final int MEASURED = 3000;

    private final String base;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    private HttpRun(String base) {
        this.base = base;
    }

    /**
     * @param args the product's address and the demo password, as ./etlo status prints them
     */
    public static void main(String[] args) throws Exception {
        if (args.length != 2) {
            System.err.println("usage: HttpRun http://127.0.0.1:PORT DEMO-PASSWORD");
            System.exit(64);
        }
        signedIn(args[0], args[1]).run();
    }

    /** Somebody of the demo's practice. */
    static HttpRun signedIn(String base, String password) throws IOException, InterruptedException {
        HttpRun run = new HttpRun(base);
        run.send(HttpRequest.newBuilder(URI.create(base + "/api/session")).GET());
        run.post("/api/session", "{\"email\":\"demo@etlo.example\",\"password\":\"" + password + "\"}");
        return run;
    }

    private void run() throws Exception {
        String plan = Json.write(Valley.dossier(KnowledgeLoader.shipped()).plan());
        String body = "{\"asOf\":\"" + Valley.AS_OF + "\",\"plan\":" + plan + "}";
        for (int i = 0; i < WARM_UP; i++) {
            post("/api/evaluations", body);
        }
        double[] ms = new double[MEASURED];
        int size = 0;
        for (int i = 0; i < MEASURED; i++) {
            long start = System.nanoTime();
            size = post("/api/evaluations", body).length();
            ms[i] = (System.nanoTime() - start) / 1e6;
        }
        Arrays.sort(ms);
        System.out.printf(
                Locale.ROOT,
                "POST /api/evaluations, %d requests one after the other, plan %d bytes, answer %d bytes:%n"
                        + "p50 %.1f ms, p95 %.1f ms, p99 %.1f ms, slowest %.1f ms%n",
                MEASURED,
                body.length(),
                size,
                ms[MEASURED / 2],
                ms[MEASURED * 95 / 100],
                ms[MEASURED * 99 / 100],
                ms[MEASURED - 1]);
    }

    String post(String path, String body) throws IOException, InterruptedException {
        String token = cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(java.net.HttpCookie::getValue)
                .findFirst()
                .orElse("");
        return send(HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token)
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    private String send(HttpRequest.Builder request) throws IOException, InterruptedException {
        HttpResponse<String> r = client.send(request.build(), HttpResponse.BodyHandlers.ofString());
        if (r.statusCode() >= 300) {
            throw new IOException(r.statusCode() + " " + r.body());
        }
        return r.body();
    }
}
