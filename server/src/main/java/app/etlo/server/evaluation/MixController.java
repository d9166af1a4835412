package app.etlo.server.evaluation;

import app.etlo.core.plan.asked.AimsReached;
import app.etlo.core.plan.asked.Alternatives;
import app.etlo.core.plan.asked.Candidates;
import app.etlo.core.plan.asked.LatestSowings;
import app.etlo.core.plan.asked.MixProposals;
import app.etlo.core.plan.asked.MixProposals.Proposed;
import app.etlo.core.plan.asked.MixView;
import app.etlo.core.plan.asked.SowingWays;
import app.etlo.core.plan.asked.SpeciesBuys;
import app.etlo.core.plan.asked.WishesEntry;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.limits.Limited;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Species and mixes proposed for a cover. */
@RestController
class MixController {
    private final Evaluations evaluations;

    MixController(Evaluations evaluations) {
        this.evaluations = evaluations;
    }

    record CoverRequest(
            @NotNull PlanDocument plan,
            @NotNull LocalDate asOf,
            @NotBlank String coverId) {}

    record MixRequest(
            @NotNull PlanDocument plan,
            @NotNull LocalDate asOf,
            @NotBlank String coverId,
            @NotNull WishesEntry wishes) {}

    /**
     * A line of the stream: first the cover's own mix if it has one, then the points as they are found, at the end that it is
     * done.
     */
    record FrontierLine(Optional<MixView> own, Optional<MixView> point, boolean done) {}

    /** Every species judged for a cover. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/mixes/candidates")
    Candidates.CandidateList candidates(@Valid @RequestBody CoverRequest r) {
        return evaluations.evaluated(r.plan(), r.asOf(), e -> Candidates.of(e, r.coverId()));
    }

    /** Which aims a cover can reach, by which species, and which of them pull against each other. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/mixes/aims")
    AimsReached.AimsView aims(@Valid @RequestBody CoverRequest r) {
        return evaluations.evaluated(r.plan(), r.asOf(), e -> AimsReached.of(e, r.coverId()));
    }

    /** The latest useful sowing of the species of a cover, and what a late one is sown thicker by. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/covers/latest")
    LatestSowings.CoverLatest latest(@Valid @RequestBody CoverRequest r) {
        return evaluations.evaluated(r.plan(), r.asOf(), e -> LatestSowings.ofCover(e, r.coverId()));
    }

    /** The mixes weighed against each other for a cover, its own first. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/mixes/alternatives")
    List<Alternatives.MixColumn> alternatives(@Valid @RequestBody CoverRequest r) {
        return evaluations.several(
                r.plan(), r.asOf(), evaluate -> Alternatives.of(r.plan(), r.coverId(), evaluate::apply));
    }

    /**
     * @param base a species of the mix that is fixed while companions are weighed beside it; the whole mix when absent
     */
    record BuysRequest(
            @NotNull PlanDocument plan,
            @NotNull LocalDate asOf,
            @NotBlank String coverId,
            Optional<@Size(max = 60) String> base) {}

    /** What each species of a mix buys, and what one more would. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/mixes/buys")
    SpeciesBuys.BuysView buys(@Valid @RequestBody BuysRequest r) {
        return evaluations.withStore(
                r.plan(),
                r.asOf(),
                (e, store) -> SpeciesBuys.of(e, r.coverId(), r.base(), store.lots(), store.freeKg()));
    }

    /** The ways of sowing a cover, side by side. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/covers/ways")
    SowingWays.WaysView ways(@Valid @RequestBody CoverRequest r) {
        return evaluations.severalWithStore(
                r.plan(),
                r.asOf(),
                (evaluate, store) ->
                        SowingWays.of(r.plan(), r.coverId(), store.lots(), store.freeKg(), evaluate::apply));
    }

    /** The best mix within the wishes, or which of them cannot all hold. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping("/api/mixes/proposals")
    Proposed propose(@Valid @RequestBody MixRequest r) {
        MixProposals proposals = evaluations.proposals(r.plan(), r.asOf(), r.coverId());
        return evaluations.inTurn(() -> proposals.propose(r.wishes()));
    }

    /** Cost against what the aims get, a line of JSON for each point as soon as it is found. */
    @Limited(Limited.Kind.EVALUATE)
    @Access(Who.MEMBER)
    @PostMapping(value = "/api/mixes/frontier", produces = MediaType.APPLICATION_NDJSON_VALUE)
    ResponseEntity<StreamingResponseBody> frontier(@Valid @RequestBody MixRequest r) {
        // all that needs the database is read, and all that can be refused is, before the stream begins
        MixProposals proposals = evaluations.proposals(r.plan(), r.asOf(), r.coverId());
        proposals.check(r.wishes());
        Optional<MixView> own = evaluations.inTurn(proposals::own);
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_NDJSON).body(out -> {
            try {
                line(out, new FrontierLine(own, Optional.empty(), false));
                proposals.frontier(
                        r.wishes(), p -> line(out, new FrontierLine(Optional.empty(), Optional.of(p), false)));
                line(out, new FrontierLine(Optional.empty(), Optional.empty(), true));
            } catch (UncheckedIOException gone) {
                // whoever asked has left; nothing more is computed for them
                throw gone.getCause();
            }
        });
    }

    private static void line(OutputStream out, FrontierLine line) {
        try {
            out.write((Json.write(line) + "\n").getBytes(StandardCharsets.UTF_8));
            out.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
