package app.etlo.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
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
    private final SecurityContextRepository contexts;

    SessionController(Accounts accounts, SecurityContextRepository contexts) {
        this.accounts = accounts;
        this.contexts = contexts;
    }

    record SignIn(
            @NotBlank @Size(max = 200) String email,
            @NotBlank @Size(max = 200) String password) {}

    record NewPractice(
            @NotBlank @Size(max = 120) String practice,
            @NotBlank @Email @Size(max = 100) String email,

            @NotNull @Size(min = 10, max = 72, message = "from 10 to 72 letters")
            String password) {}

    record SessionView(boolean signedIn, String email, String practice) {}

    @GetMapping("/api/session")
    SessionView session(@AuthenticationPrincipal Adviser adviser) {
        return adviser == null
                ? new SessionView(false, "", "")
                : new SessionView(true, adviser.email(), adviser.practice());
    }

    @PostMapping("/api/session")
    SessionView signIn(@Valid @RequestBody SignIn asked, HttpServletRequest request, HttpServletResponse response) {
        Adviser adviser = accounts.signIn(asked.email(), asked.password())
                .orElseThrow(() -> new ResponseStatusException(
                        HttpStatus.UNAUTHORIZED, "This address and password do not belong together."));
        return enter(adviser, request, response);
    }

    @PostMapping("/api/practices")
    @ResponseStatus(HttpStatus.CREATED)
    SessionView open(@Valid @RequestBody NewPractice asked, HttpServletRequest request, HttpServletResponse response) {
        try {
            return enter(accounts.open(asked.practice(), asked.email(), asked.password()), request, response);
        } catch (Accounts.AddressTaken e) {
            throw new ResponseStatusException(
                    HttpStatus.CONFLICT, "This address has an account already; sign in with it.", e);
        }
    }

    @DeleteMapping("/api/session")
    ResponseEntity<Void> signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
        return ResponseEntity.noContent().build();
    }

    private SessionView enter(Adviser adviser, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                adviser, null, List.of(new SimpleGrantedAuthority("ROLE_ADVISER"))));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return session(adviser);
    }
}
