package app.etlo.server.seed;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.LotCsv;
import app.etlo.core.plan.document.Refused;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Adviser;
import app.etlo.server.documents.TableAnswers;
import app.etlo.server.limits.Limited;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Seed lots, one by one or as a table. */
@RestController
class LotController {
    private final SeedStore store;

    private final Knowledge knowledge;

    LotController(SeedStore store, Knowledge knowledge) {
        this.store = store;
        this.knowledge = knowledge;
    }

    @Access(Who.MEMBER)
    @GetMapping("/api/lots")
    List<LotEntry> lots() {
        return store.all();
    }

    /**
     * Reads a table of lots before any is kept: what it holds, and which lines are wrong.
     *
     * @param decimalSign point or comma, where the table does not show it
     * @param dayOrder dmy or mdy, where its dates do not show it
     */
    @Limited(Limited.Kind.IMPORT)
    @Access(Who.MEMBER)
    @PostMapping(value = "/api/lots/tables", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    LotCsv.Read table(
            @RequestBody byte[] file,
            @RequestParam Optional<String> decimalSign,
            @RequestParam Optional<String> dayOrder) {
        return LotCsv.read(
                new String(file, StandardCharsets.UTF_8),
                knowledge,
                TableAnswers.decimalSign(decimalSign),
                TableAnswers.dayOrder(dayOrder));
    }

    /**
     * @param base the lot as the editor found it; absent for a new one
     */
    record LotSave(Optional<LotEntry> base, @NotNull LotEntry mine) {}

    @Access(Who.MEMBER)
    @PutMapping("/api/lots/{lotId}")
    LotEntry put(
            @PathVariable String lotId, @Valid @RequestBody LotSave save, @AuthenticationPrincipal Adviser adviser) {
        if (!lotId.equals(save.mine().id())) {
            throw new Refused("/mine/id", "the address names another lot");
        }
        return store.put(save.base(), save.mine(), adviser.email());
    }

    @Access(Who.ADVISER)
    @DeleteMapping("/api/lots/{lotId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String lotId, @AuthenticationPrincipal Adviser adviser) {
        store.remove(lotId, adviser.email());
    }
}
