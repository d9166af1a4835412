package app.etlo.server.documents;

import org.springframework.http.HttpStatus;
import org.springframework.web.server.ResponseStatusException;

/** There is no such thing in this workspace. */
public final class NotFound extends ResponseStatusException {
    private static final long serialVersionUID = 1L;

    public NotFound(String what) {
        super(HttpStatus.NOT_FOUND, "There is no such " + what + " in this practice.");
    }
}
