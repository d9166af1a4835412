package app.etlo.server.plan;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.PlanDocument.MixEntry;
import app.etlo.core.plan.document.Problem;
import app.etlo.core.plan.document.Refused;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Adviser;
import app.etlo.server.documents.DocumentText;
import app.etlo.server.documents.NotFound;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Mixes that a practice keeps by name. */
@RestController
@Transactional
class KeptMixController {
    private static final int MOST_LETTERS = 80;
    private static final int MOST_SPECIES = 30;
    private static final int MOST_MIXES = 500;

    private final KeptMixRepository rows;
    private final Knowledge knowledge;
    private final DocumentText text;

    KeptMixController(KeptMixRepository rows, Knowledge knowledge, DocumentText text) {
        this.rows = rows;
        this.knowledge = knowledge;
        this.text = text;
    }

    record KeptMix(String id, String name, MixEntry mix) {}

    @Access(Who.MEMBER)
    @GetMapping("/api/kept-mixes")
    @Transactional(readOnly = true)
    public List<KeptMix> all() {
        return rows.findAllByOrderById().stream()
                .map(r -> text.read(r.document(), KeptMix.class))
                .toList();
    }

    /** Keeps a mix, or changes the one that is kept under the id. */
    @Access(Who.MEMBER)
    @PutMapping("/api/kept-mixes/{mixId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    public void keep(@PathVariable String mixId, @RequestBody KeptMix kept, @AuthenticationPrincipal Adviser adviser) {
        check(mixId, kept);
        rows.keep(adviser.workspaceId(), mixId, Json.write(kept));
    }

    @Access(Who.ADVISER)
    @DeleteMapping("/api/kept-mixes/{mixId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    public void remove(@PathVariable String mixId) {
        rows.delete(rows.findByRef(mixId).orElseThrow(() -> new NotFound("kept mix")));
    }

    private void check(String mixId, KeptMix kept) {
        List<Problem> problems = new ArrayList<>();
        if (!mixId.matches("[A-Za-z0-9-]{1,64}") || !mixId.equals(kept.id())) {
            problems.add(new Problem("/id", "the address and the mix have one id, of letters, digits and hyphens"));
        }
        if (kept.name() == null || kept.name().isBlank() || kept.name().length() > MOST_LETTERS) {
            problems.add(new Problem("/name", "a name of 1 to " + MOST_LETTERS + " characters"));
        }
        if (kept.mix() == null
                || kept.mix().components().isEmpty()
                || kept.mix().components().size() > MOST_SPECIES) {
            problems.add(new Problem("/mix", "a mix of 1 to " + MOST_SPECIES + " species"));
        } else {
            kept.mix().components().stream()
                    .filter(c -> c.species() == null
                            || knowledge.species().find(c.species()).isEmpty())
                    .forEach(c -> problems.add(
                            new Problem("/mix/components", "'" + c.species() + "' is not a species of the library")));
        }
        if (rows.count() >= MOST_MIXES && rows.findByRef(mixId).isEmpty()) {
            problems.add(new Problem("", "at most " + MOST_MIXES + " mixes are kept; remove one first"));
        }
        if (!problems.isEmpty()) {
            throw new Refused(problems);
        }
    }
}
