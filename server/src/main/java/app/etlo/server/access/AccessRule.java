package app.etlo.server.access;

import app.etlo.server.account.Accounts;
import app.etlo.server.account.Adviser;
import app.etlo.server.account.Role;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.HandlerInterceptor;

/**
 * Lets a request through to its endpoint, or not. Who somebody is comes from the session; what they may is asked of the
 * database each time, so that a person removed or given another role is so from that moment on.
 */
@Component
public class AccessRule implements HandlerInterceptor {
    private final Accounts accounts;

    AccessRule(Accounts accounts) {
        this.accounts = accounts;
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (!(handler instanceof HandlerMethod method)
                || !request.getRequestURI().startsWith("/api/")) {
            return true;
        }
        Access access = method.getMethodAnnotation(Access.class);
        if (access == null) {
            throw new ResponseStatusException(HttpStatus.FORBIDDEN, "Nobody may call this.");
        }
        if (access.value() == Access.Who.ANYONE) {
            return true;
        }
        Role role = accounts.roleNow(signedIn())
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.UNAUTHORIZED, "You are not signed in."));
        if (access.value() == Access.Who.ADVISER && role != Role.ADVISER) {
            throw new ResponseStatusException(HttpStatus.FORBIDDEN, "Only an adviser of the practice may do this.");
        }
        return true;
    }

    private static Adviser signedIn() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who != null && who.getPrincipal() instanceof Adviser adviser) {
            return adviser;
        }
        throw new ResponseStatusException(HttpStatus.UNAUTHORIZED, "You are not signed in.");
    }
}
