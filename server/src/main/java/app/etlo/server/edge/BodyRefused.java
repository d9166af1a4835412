package app.etlo.server.edge;

import java.io.IOException;
import java.util.Optional;
import org.springframework.http.HttpStatus;

/** A body that is not read, or no further. */
public final class BodyRefused extends IOException {
    private static final long serialVersionUID = 1L;
    private final HttpStatus status;
    private final String title;

    private BodyRefused(HttpStatus status, String title, String detail) {
        super(detail);
        this.status = status;
        this.title = title;
    }

    static BodyRefused tooLarge(long most) {
        String size = most >= 1 << 20 ? (most >> 20) + " MB" : (most >> 10) + " kB";
        return new BodyRefused(
                HttpStatus.PAYLOAD_TOO_LARGE,
                "Too large",
                "This is over " + size + ". Export only this field, or simplify its outline.");
    }

    static BodyRefused tooSlow() {
        return new BodyRefused(HttpStatus.REQUEST_TIMEOUT, "Too slow", "The file took too long to arrive.");
    }

    static BodyRefused tooMuchAtOnce() {
        return new BodyRefused(
                HttpStatus.SERVICE_UNAVAILABLE,
                "Busy",
                "The server is taking in too much at the moment. What you typed is kept on this page; try again in a"
                        + " moment.");
    }

    static BodyRefused notAllowed() {
        return new BodyRefused(HttpStatus.FORBIDDEN, "Not allowed", "Nothing may be sent here.");
    }

    public HttpStatus status() {
        return status;
    }

    public String title() {
        return title;
    }

    /** After how many seconds the same may be taken; nothing when it never will be. */
    public Optional<Long> retryAfterSeconds() {
        return status == HttpStatus.SERVICE_UNAVAILABLE ? Optional.of(1L) : Optional.empty();
    }
}
