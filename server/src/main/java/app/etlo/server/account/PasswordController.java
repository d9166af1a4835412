package app.etlo.server.account;

import app.etlo.core.plan.document.Refused;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.limits.Limited;
import app.etlo.server.outbox.Email;
import app.etlo.server.outbox.Outbox;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/** A person's own password and sessions. */
@RestController
class PasswordController {
    private final Accounts accounts;
    private final Sessions sessions;
    private final Guessing guessing;
    private final Outbox outbox;
    private final String address;

    /**
     * @param address where people reach Etlo; links are made from it, never from what a request says of itself
     */
    PasswordController(
            Accounts accounts,
            Sessions sessions,
            Guessing guessing,
            Outbox outbox,
            @Value("${etlo.address}") String address) {
        this.accounts = accounts;
        this.sessions = sessions;
        this.guessing = guessing;
        this.outbox = outbox;
        this.address = address;
    }

    record NewPassword(
            @NotBlank @Size(max = 200) String old, @Password String password) {}

    record ResetAsked(@NotBlank @Size(max = 200) String email) {}

    record ResetUsed(
            @NotBlank @Size(max = 100) String token,
            @Password String password) {}

    /** Changes the password; the person's other sessions and waiting links end, and this session gets a new id. */
    @Limited(Limited.Kind.ENTRANCE)
    @Access(Who.MEMBER)
    @PutMapping("/api/me/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(
            @Valid @RequestBody NewPassword asked,
            @AuthenticationPrincipal Adviser adviser,
            HttpServletRequest request) {
        Guessing.Try attempt = guessing.begin(adviser.email(), request.getRemoteAddr(), Sessions.knownBrowser(request));
        if (accounts.signIn(adviser.email(), asked.old()).isEmpty()) {
            throw new Refused("/old", "this is not your present password");
        }
        attempt.wasRight();
        accounts.setPassword(adviser.id(), asked.password());
        sessions.endOthers(adviser.id(), request);
        request.changeSessionId();
    }

    @Access(Who.MEMBER)
    @DeleteMapping("/api/me/sessions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOutEverywhere(@AuthenticationPrincipal Adviser adviser) {
        sessions.endAll(adviser.id());
    }

    /** Sends a link to a new password, if the address has an account; the answer is the same when it has none. */
    @Limited(Limited.Kind.LINK)
    @Access(Who.ANYONE)
    @PostMapping("/api/resets")
    @ResponseStatus(HttpStatus.ACCEPTED)
    void askReset(@Valid @RequestBody ResetAsked asked) {
        // to the address as it is stored: what was typed only looks it up
        accounts.offerReset(asked.email())
                .ifPresent(offer -> outbox.post(new Email(
                        offer.email(),
                        "A new password for Etlo",
                        "Somebody asked for a new password for this address. To choose one, open this link within an"
                                + " hour:\n\n"
                                + address + "/reset#" + offer.token()
                                + "\n\nIf it was not you, leave it: nothing changes.")));
    }

    /** Chooses the new password that a link allows; all earlier sessions of the person end. */
    @Limited(Limited.Kind.LINK)
    @Access(Who.ANYONE)
    @PostMapping("/api/resets/used")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void reset(@Valid @RequestBody ResetUsed asked, HttpServletRequest request, HttpServletResponse response) {
        Adviser adviser = accounts.reset(asked.token(), asked.password())
                .orElseThrow(() -> new ResponseStatusException(
                        HttpStatus.GONE, "This link is used up or older than an hour. Ask for a new one."));
        sessions.endAll(adviser.id());
        sessions.begin(adviser, request, response);
    }
}
