package app.etlo.server.people;

import app.etlo.core.quantity.UnitSystem;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Accounts;
import app.etlo.server.account.Adviser;
import app.etlo.server.account.Password;
import app.etlo.server.account.Sessions;
import app.etlo.server.limits.Limited;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/** Joining a practice by the link one was given. The secret travels in the body, so that no log of addresses holds it. */
@RestController
class JoinController {
    private final Accounts accounts;
    private final Sessions sessions;

    JoinController(Accounts accounts, Sessions sessions) {
        this.accounts = accounts;
        this.sessions = sessions;
    }

    record Opened(@NotBlank @Size(max = 100) String token) {}

    record Welcome(String practice, String role) {}

    record Joining(
            @NotBlank @Size(max = 100) String token,
            @NotNull @Size(max = 120) String name,
            @NotBlank @Email @Size(max = 100) String email,
            @Password String password,
            Optional<UnitSystem> units) {}

    @Limited(Limited.Kind.LINK)
    @Access(Who.ANYONE)
    @PostMapping("/api/invitations/opened")
    Welcome open(@Valid @RequestBody Opened asked) {
        return accounts.invitation(asked.token())
                .map(i -> new Welcome(i.practice(), i.role()))
                .orElseThrow(JoinController::gone);
    }

    @Limited(Limited.Kind.JOINING)
    @Access(Who.ANYONE)
    @PostMapping("/api/invitations/accepted")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void accept(@Valid @RequestBody Joining asked, HttpServletRequest request, HttpServletResponse response) {
        Adviser adviser = accounts.accept(
                        asked.token(),
                        asked.name(),
                        asked.units().orElse(UnitSystem.METRIC),
                        asked.email(),
                        asked.password())
                .orElseThrow(JoinController::gone);
        sessions.begin(adviser, request, response);
    }

    private static ResponseStatusException gone() {
        return new ResponseStatusException(
                HttpStatus.GONE, "This invitation is used up, withdrawn or older than a week. Ask for a new one.");
    }
}
