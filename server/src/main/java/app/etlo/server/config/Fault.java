package app.etlo.server.config;

import app.etlo.server.edge.BodyRefused;
import app.etlo.server.limits.TooMany;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;

/**
 * What a failure means for whoever asked: a clear state and when to ask again, never what happened inside.
 *
 * @param retryAfterSeconds after which time it may work
 */
record Fault(HttpStatus status, String title, String detail, Optional<Long> retryAfterSeconds) {
    /** SQLSTATE of a full disk (PostgreSQL, appendix A). */
    private static final String DISK_FULL = "53100";
    /** SQLSTATE classes and codes of a server that is going down, coming up, crashed or out of reach. */
    private static final List<String> AWAY = List.of("08", "57P", "53300", "58");

    private static final long SOON = 3;

    static Fault of(Throwable failure) {
        for (Throwable t = failure; t != null; t = t.getCause()) {
            if (t instanceof TooMany tooMany) {
                return new Fault(
                        HttpStatus.TOO_MANY_REQUESTS,
                        "Too often",
                        "Asked too often. Try again in " + inWords(tooMany.seconds()) + ".",
                        Optional.of(tooMany.seconds()));
            }
            if (t instanceof BodyRefused refused) {
                return new Fault(refused.status(), refused.title(), refused.getMessage(), refused.retryAfterSeconds());
            }
            if (t instanceof SQLException e) {
                String state = String.valueOf(e.getSQLState());
                if (state.equals(DISK_FULL)) {
                    return new Fault(
                            HttpStatus.INSUFFICIENT_STORAGE,
                            "Disk full",
                            "The server's disk is full. What you typed is kept on this page and is sent when there is"
                                    + " room again.",
                            Optional.of(SOON));
                }
                if (e instanceof SQLTransientConnectionException
                        || AWAY.stream().anyMatch(state::startsWith)) {
                    return new Fault(
                            HttpStatus.SERVICE_UNAVAILABLE,
                            "Not there at the moment",
                            "The database does not answer. What you typed is kept on this page and is sent when it is"
                                    + " back.",
                            Optional.of(SOON));
                }
            }
        }
        return new Fault(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Fault",
                "Something went wrong on the server. What you typed is kept on this page.",
                Optional.empty());
    }

    private static String inWords(long seconds) {
        long minutes = (seconds + 59) / 60;
        return seconds < 90 ? seconds + " s" : minutes + " minutes";
    }
}
