package app.etlo.bench;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.PlanReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Objects;

/** The fullest field of the demo valley: three crops, a cover of seven species, a boundary with a hole. */
final class Valley {
    static final String AS_OF = "2026-11-25";

    /** The end of its cover as planned, and as it is dragged to. */
    static final String END = "2027-04-22";

    static final String END_DRAGGED = "2027-04-18";

    private Valley() {}

    static String text() {
        try (InputStream in = Objects.requireNonNull(Valley.class.getResourceAsStream("/demo/01-kettle-hollow.json"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .replace("Y-1-", "2025-")
                    .replace("Y0-", "2026-")
                    .replace("Y+1-", "2027-")
                    .replace("Y+2-", "2028-");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static Dossier dossier(Knowledge knowledge) {
        return Dossier.read(text(), new PlanReader(knowledge), knowledge);
    }
}
