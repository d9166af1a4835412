package app.etlo.core.plan;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;

/** The sample dossier that the tests start from. */
public final class Plans {
    public static final Knowledge KNOWLEDGE = KnowledgeLoader.shipped();
    public static final PlanReader READER = new PlanReader(KNOWLEDGE);
    public static final LocalDate AS_OF = LocalDate.of(2026, 6, 1);

    private Plans() {}

    public static String text() {
        try (InputStream in = Objects.requireNonNull(Plans.class.getResourceAsStream("/plan/upper-bank.json"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static Dossier dossier() {
        return read(text());
    }

    public static Dossier read(String text) {
        return Dossier.read(text, READER, KNOWLEDGE);
    }

    public static Evaluated evaluate(String text) {
        Dossier d = read(text);
        return new Evaluator(KNOWLEDGE).evaluate(d.plan(), d.context(), AS_OF);
    }

    public static Evaluated evaluated() {
        return evaluate(text());
    }

    /** The evaluation of the sample with one piece of its text replaced. */
    public static Evaluated with(String piece, String replacement) {
        String text = text();
        if (!text.contains(piece)) {
            throw new IllegalArgumentException("the sample does not hold " + piece);
        }
        return evaluate(text.replace(piece, replacement));
    }

    /** The same plan with other operations. */
    public static PlanDocument with(PlanDocument p, List<Operation> operations) {
        return new PlanDocument(
                p.schemaVersion(), p.id(), p.fieldId(), p.name(), p.crops(), p.covers(), operations, p.answers());
    }
}
