package app.etlo.server.account;

import app.etlo.core.quantity.UnitSystem;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.limits.Limited;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.ZoneOffset;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/** Signing in and out, and opening a practice. */
@RestController
class SessionController {
    private final Accounts accounts;
    private final Sessions sessions;
    private final Guessing guessing;

    SessionController(Accounts accounts, Sessions sessions, Guessing guessing) {
        this.accounts = accounts;
        this.sessions = sessions;
        this.guessing = guessing;
    }

    record SignIn(
            @NotBlank @Size(max = 200) String email,
            @NotBlank @Size(max = 200) String password) {}

    /**
     * @param zone time zone of the browser, such as Europe/London
     * @param units the browser's country reads
     */
    record NewPractice(
            @NotBlank @Size(max = 120) String practice,
            @NotBlank @Email @Size(max = 100) String email,
            @Password String password,
            Optional<@Size(max = 60) String> zone,
            Optional<UnitSystem> units) {}

    /**
     * @param role adviser or assistant; empty when nobody is signed in
     * @param units read where no farm is meant
     */
    record SessionView(boolean signedIn, String email, String practice, String role, UnitSystem units) {}

    @Access(Who.ANYONE)
    @GetMapping("/api/session")
    SessionView session(@AuthenticationPrincipal Adviser adviser) {
        return adviser == null ? nobody() : view(adviser);
    }

    @Limited(Limited.Kind.ENTRANCE)
    @Access(Who.ANYONE)
    @PostMapping("/api/session")
    SessionView signIn(@Valid @RequestBody SignIn asked, HttpServletRequest request, HttpServletResponse response) {
        Guessing.Try attempt = guessing.begin(asked.email(), request.getRemoteAddr(), Sessions.knownBrowser(request));
        Adviser adviser = accounts.signIn(asked.email(), asked.password())
                .orElseThrow(() -> new ResponseStatusException(
                        HttpStatus.UNAUTHORIZED, "This address and password do not belong together."));
        attempt.wasRight();
        sessions.begin(adviser, request, response);
        return view(adviser);
    }

    @Limited(Limited.Kind.JOINING)
    @Access(Who.ANYONE)
    @PostMapping("/api/practices")
    @ResponseStatus(HttpStatus.CREATED)
    SessionView open(@Valid @RequestBody NewPractice asked, HttpServletRequest request, HttpServletResponse response) {
        Adviser adviser = accounts.open(
                asked.practice(),
                asked.zone().flatMap(PracticeDay::read).orElse(ZoneOffset.UTC),
                asked.units().orElse(UnitSystem.METRIC),
                asked.email(),
                asked.password());
        sessions.begin(adviser, request, response);
        return view(adviser);
    }

    @Access(Who.ANYONE)
    @DeleteMapping("/api/session")
    ResponseEntity<Void> signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
        return ResponseEntity.noContent().build();
    }

    private SessionView view(Adviser adviser) {
        return accounts.roleNow(adviser)
                .map(role ->
                        new SessionView(true, adviser.email(), adviser.practice(), role.id(), accounts.units(adviser)))
                .orElseGet(SessionController::nobody);
    }

    private static SessionView nobody() {
        return new SessionView(false, "", "", "", UnitSystem.METRIC);
    }
}
