package app.etlo.server.config;

import app.etlo.server.edge.BodyRefused;
import app.etlo.server.limits.TooMany;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.List;
import java.util.Optional;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpStatus;

/**
 * What a failure means for whoever asked: a clear state and when to ask again, never what happened inside.
 *
 * @param retryAfterSeconds after which time it may work
 */
record Fault(HttpStatus status, String title, String detail, Optional<Long> retryAfterSeconds) {
    /** SQLSTATE of a full disk (PostgreSQL, appendix A). */
    private static final String DISK_FULL = "53100";
    /** SQLSTATE class of values that the database cannot hold. */
    private static final String NO_SUCH_VALUE = "22";
    /** SQLSTATE of two who did the same at once: a row that is there already, a deadlock, a serialization failure. */
    private static final List<String> AT_ONCE = List.of("23505", "23514", "40P01", "40001");
    /** SQLSTATE classes and codes of a server that is going down, coming up, crashed or out of reach. */
    private static final List<String> AWAY = List.of("08", "57P", "53300", "58");

    private static final long SOON = 3;

    private static final Fault AT_THE_SAME_MOMENT = new Fault(
            HttpStatus.CONFLICT,
            "At the same moment",
            "Somebody else changed the same at the same moment. Look again, then try once more.",
            Optional.of(1L));

    static Fault of(Throwable failure) {
        for (Throwable t = failure; t != null; t = t.getCause()) {
            if (t instanceof TooMany tooMany) {
                return new Fault(
                        HttpStatus.TOO_MANY_REQUESTS,
                        "Too often",
                        "Asked too often. Try again in " + inWords(tooMany.seconds()) + ".",
                        Optional.of(tooMany.seconds()));
            }
            if (t instanceof OptimisticLockingFailureException) {
                return AT_THE_SAME_MOMENT;
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
                if (state.startsWith(NO_SUCH_VALUE)) {
                    return new Fault(
                            HttpStatus.BAD_REQUEST,
                            "Cannot be taken",
                            "There is a character or a value in this that cannot be kept, such as one of code zero.",
                            Optional.empty());
                }
                if (AT_ONCE.contains(state)) {
                    return AT_THE_SAME_MOMENT;
                }
                // the pool's own word for a connection that broke under whoever held it has no state
                boolean broken = e.getSQLState() == null && "Connection is closed".equals(e.getMessage());
                if (broken
                        || e instanceof SQLTransientConnectionException
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
