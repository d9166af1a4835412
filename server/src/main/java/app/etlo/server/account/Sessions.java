package app.etlo.server.account;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Begins and ends sessions. They are kept in PostgreSQL, so that any server ends what another began. */
@Component
public class Sessions {
    private static final String KNOWN_BROWSER = "ETLO-KNOWN";
    private static final Duration KNOWN_FOR = Duration.ofDays(365);

    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final SecurityContextRepository contexts;
    private final Guessing guessing;

    Sessions(
            FindByIndexNameSessionRepository<? extends Session> sessions,
            SecurityContextRepository contexts,
            Guessing guessing) {
        this.sessions = sessions;
        this.contexts = contexts;
        this.guessing = guessing;
    }

    /** Signs somebody in in this browser, under a new session id. */
    public void begin(Adviser adviser, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                adviser, null, List.of(new SimpleGrantedAuthority("ROLE_MEMBER"))));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        String secret = guessing.remember(adviser.id(), knownBrowser(request));
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(KNOWN_BROWSER, secret)
                        .path("/api/")
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Strict")
                        .maxAge(KNOWN_FOR)
                        .build()
                        .toString());
    }

    /** Ends every session of a person, on every server. */
    public void endAll(long adviserId) {
        sessions.findByPrincipalName(String.valueOf(adviserId)).keySet().forEach(sessions::deleteById);
    }

    /** Ends every session of a person but this one. */
    public void endOthers(long adviserId, HttpServletRequest request) {
        String own = request.getSession().getId();
        sessions.findByPrincipalName(String.valueOf(adviserId)).keySet().stream()
                .filter(id -> !id.equals(own))
                .forEach(sessions::deleteById);
    }

    /** The secret this browser kept from an earlier sign-in. */
    public static Optional<String> knownBrowser(HttpServletRequest request) {
        return Optional.ofNullable(request.getCookies()).stream()
                .flatMap(Arrays::stream)
                .filter(c -> c.getName().equals(KNOWN_BROWSER))
                .map(Cookie::getValue)
                .findFirst();
    }
}
