package app.etlo.server;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Objects;

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
}
