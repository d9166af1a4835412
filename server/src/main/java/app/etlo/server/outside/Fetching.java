package app.etlo.server.outside;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Asks an address outside: for a few seconds and for so many bytes, no more. */
@Component
class Fetching {
    private static final int MOST_BYTES = 64 * 1024;

    private final Duration longest;
    private final HttpClient client = HttpClient.newBuilder()
            .connectTimeout(Duration.ofSeconds(2))
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();

    Fetching(@Value("${etlo.outside.longest}") Duration longest) {
        this.longest = longest;
    }

    /**
     * The text of an answer.
     *
     * @throws NoAnswer with what was wrong, in words
     */
    String text(String url) {
        HttpRequest request =
                HttpRequest.newBuilder(URI.create(url)).timeout(longest).build();
        CompletableFuture<String> answer = client.sendAsync(request, HttpResponse.BodyHandlers.ofInputStream())
                .thenApplyAsync(Fetching::read);
        try {
            return answer.get(longest.toMillis(), TimeUnit.MILLISECONDS);
        } catch (TimeoutException e) {
            answer.cancel(true);
            throw new NoAnswer("did not answer in time");
        } catch (ExecutionException e) {
            Throwable why = e.getCause();
            throw why instanceof NoAnswer n
                    ? n
                    : new NoAnswer(why instanceof HttpTimeoutException ? "did not answer in time" : "does not answer");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new NoAnswer("was not waited for");
        }
    }

    private static String read(HttpResponse<InputStream> response) {
        try (InputStream in = response.body()) {
            if (response.statusCode() != 200) {
                throw new NoAnswer("answered " + response.statusCode());
            }
            byte[] body = in.readNBytes(MOST_BYTES + 1);
            if (body.length > MOST_BYTES) {
                throw new NoAnswer("answered more than can be read");
            }
            return new String(body, StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new NoAnswer("broke off its answer");
        }
    }
}
