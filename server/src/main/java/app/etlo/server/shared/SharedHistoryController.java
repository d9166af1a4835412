package app.etlo.server.shared;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Context.FarmEntry;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.shown.DifferenceWords;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Adviser;
import app.etlo.server.documents.DocumentText;
import app.etlo.server.documents.NotFound;
import app.etlo.server.documents.SharedDocuments;
import app.etlo.server.documents.SharedDocuments.Kept;
import app.etlo.server.documents.SharedDocuments.Kind;
import app.etlo.server.farm.FarmStore;
import app.etlo.server.people.People;
import app.etlo.server.seed.SeedStore;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who changed what of a farm, a field or a seed lot and when, and bringing back what it was. */
@RestController
@Transactional
class SharedHistoryController {
    private final SharedDocuments shared;
    private final FarmStore farms;
    private final SeedStore seed;
    private final People people;
    private final DocumentText text;
    private final Knowledge knowledge;

    SharedHistoryController(
            SharedDocuments shared,
            FarmStore farms,
            SeedStore seed,
            People people,
            DocumentText text,
            Knowledge knowledge) {
        this.shared = shared;
        this.farms = farms;
        this.seed = seed;
        this.people = people;
        this.text = text;
        this.knowledge = knowledge;
    }

    /**
     * One save.
     *
     * @param removed whether it was removed
     * @param changes what differs from the save before, in words; nothing for the first that is known
     */
    record SharedEntry(long id, String author, Instant savedAt, boolean removed, List<String> changes) {}

    @Access(Who.MEMBER)
    @GetMapping("/api/history/{kind}/{documentId}")
    List<SharedEntry> history(@PathVariable String kind, @PathVariable String documentId) {
        List<Kept> saves = saves(kind, documentId);
        Map<String, String> names = people.names();
        DifferenceWords words = new DifferenceWords(knowledge, "");
        List<SharedEntry> entries = new ArrayList<>();
        for (int i = 0; i < saves.size(); i++) {
            Kept save = saves.get(i);
            Optional<JsonNode> before =
                    i + 1 < saves.size() ? saves.get(i + 1).document().map(Json::tree) : Optional.empty();
            Optional<JsonNode> after = save.document().map(Json::tree);
            entries.add(new SharedEntry(
                    save.id(),
                    names.getOrDefault(save.author(), save.author()),
                    save.savedAt(),
                    after.isEmpty(),
                    before.isPresent() && after.isPresent() ? words.between(before.get(), after.get()) : List.of()));
        }
        return entries;
    }

    /** Saves what a document was once more, over what it is now. */
    @Access(Who.MEMBER)
    @PostMapping("/api/history/{kind}/{documentId}/{saveId}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restore(
            @PathVariable String kind,
            @PathVariable String documentId,
            @PathVariable long saveId,
            @AuthenticationPrincipal Adviser adviser) {
        String document = saves(kind, documentId).stream()
                .filter(s -> s.id() == saveId)
                .findFirst()
                .flatMap(Kept::document)
                .orElseThrow(() -> new NotFound("earlier state"));
        String author = adviser.email();
        switch (kind(kind)) {
            case FARM -> farms.put(farms.findFarm(documentId), text.read(document, FarmEntry.class), author);
            case FIELD -> farms.put(farms.findField(documentId), text.read(document, FieldEntry.class), author);
            case LOT -> seed.put(seed.find(documentId), text.read(document, LotEntry.class), author);
        }
    }

    private List<Kept> saves(String kind, String documentId) {
        List<Kept> saves = shared.history(kind(kind), documentId);
        if (saves.isEmpty()) {
            throw new NotFound("history");
        }
        return saves;
    }

    private static Kind kind(String word) {
        return Arrays.stream(Kind.values())
                .filter(k -> k.name().toLowerCase(java.util.Locale.ROOT).equals(word))
                .findFirst()
                .orElseThrow(() -> new NotFound("history"));
    }
}
