package app.etlo.server.account;

import app.etlo.server.access.Access;
import app.etlo.server.access.ThisMachine;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.boot.web.servlet.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.mvc.ParameterizableViewController;
import org.springframework.web.servlet.resource.ResourceHttpRequestHandler;

/**
 * Lets a request through to its handler, or not. The decision is made at the handler that is about to run, never from how its
 * address is spelled; a handler that does not say who may call it answers nobody. Who somebody is comes from the session; their
 * role is read from the database each time, so that removing a person or changing a role takes effect at once.
 */
@Component
public class AccessRule implements HandlerInterceptor {
    private static final String API_DESCRIPTION = "org.springdoc.";

    private final Accounts accounts;

    AccessRule(Accounts accounts) {
        this.accounts = accounts;
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof ResourceHttpRequestHandler || handler instanceof ParameterizableViewController) {
            return true; // the page and its files, the same for everybody
        }
        if (!(handler instanceof HandlerMethod method)) {
            throw forbidden("Nobody may call this.");
        }
        Access access = method.getMethodAnnotation(Access.class);
        if (access == null) {
            ofTheFramework(method, request);
        } else if (access.value() != Access.Who.ANYONE) {
            Role role = accounts.roleNow(signedIn()).orElseThrow(AccessRule::notSignedIn);
            if (access.value() == Access.Who.ADVISER && role != Role.ADVISER) {
                throw forbidden("Only an adviser of the practice may do this.");
            }
        }
        return true;
    }

    /** The handlers that are not Etlo's own: the page of an error, and the description of the API for this machine. */
    private static void ofTheFramework(HandlerMethod method, HttpServletRequest request) {
        if (ErrorController.class.isAssignableFrom(method.getBeanType())) {
            if (request.getDispatcherType() != DispatcherType.ERROR) {
                throw new ResponseStatusException(HttpStatus.NOT_FOUND);
            }
        } else if (!method.getBeanType().getName().startsWith(API_DESCRIPTION) || !ThisMachine.asked(request)) {
            throw forbidden("Nobody may call this.");
        }
    }

    private static Adviser signedIn() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who != null && who.getPrincipal() instanceof Adviser adviser) {
            return adviser;
        }
        throw notSignedIn();
    }

    private static ResponseStatusException notSignedIn() {
        return new ResponseStatusException(HttpStatus.UNAUTHORIZED, "You are not signed in.");
    }

    private static ResponseStatusException forbidden(String why) {
        return new ResponseStatusException(HttpStatus.FORBIDDEN, why);
    }
}
