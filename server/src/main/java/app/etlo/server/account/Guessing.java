package app.etlo.server.account;

import app.etlo.server.limits.TooMany;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/**
 * Slows the guessing of passwords without locking anybody out of their own account.
 *
 * <p>Failures of the last quarter of an hour are counted in buckets that all servers share. A browser in which the owner has
 * signed in before has a bucket to itself, which no stranger can fill. Every other try falls in three: this account from this
 * network address, this account from anywhere unknown, and this address for any account. What a stranger fills keeps
 * strangers out; the owner's own browsers, and the link to a new password, work on. The scheme is that of the OWASP
 * authentication notes on device cookies.
 */
@Service
public class Guessing {
    private static final Duration WINDOW = Duration.ofMinutes(15);
    private static final int FROM_KNOWN_BROWSER = 10;
    private static final int ACCOUNT_FROM_ADDRESS = 5;
    private static final int ACCOUNT_FROM_ANYWHERE = 50;
    private static final int ADDRESS_FOR_ANY_ACCOUNT = 60;

    private final JdbcClient jdbc;
    private final Clock clock;

    public Guessing(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    private record Bucket(String name, int most) {}

    private record Count(int tries, Instant oldest) {}

    /** A try that counts as failed until it is reported as right. */
    public final class Try {
        private final List<Long> ids;

        private Try(List<Long> ids) {
            this.ids = ids;
        }

        /** The password was the right one: the try no longer counts. */
        public void wasRight() {
            forget(ids);
        }
    }

    /**
     * Counts a try before its password is looked at, so that a hundred at once are no way around.
     *
     * @param knownBrowser the secret a browser kept from an earlier sign-in, if it has one
     * @throws TooMany when this try is one too many
     */
    public Try begin(String email, String address, Optional<String> knownBrowser) {
        List<Bucket> buckets = buckets(Accounts.normal(email), address, knownBrowser);
        Timestamp now = Timestamp.from(clock.instant());
        List<Long> ids = buckets.stream()
                .map(b -> jdbc.sql("insert into failed_sign_in (bucket, at) values (?, ?) returning id")
                        .params(b.name(), now)
                        .query(Long.class)
                        .single())
                .toList();
        for (Bucket b : buckets) {
            Count count = jdbc.sql(
                            "select count(*) as tries, min(at) as oldest from failed_sign_in where bucket = ? and at > ?")
                    .params(b.name(), Timestamp.from(clock.instant().minus(WINDOW)))
                    .query((r, n) -> new Count(
                            r.getInt("tries"), r.getTimestamp("oldest").toInstant()))
                    .single();
            if (count.tries() > b.most()) {
                forget(ids);
                Duration left = Duration.between(clock.instant(), count.oldest().plus(WINDOW));
                throw new TooMany(Math.max(1, left.toSeconds()));
            }
        }
        return new Try(ids);
    }

    /** A secret for a browser in which this person has just signed in; the one it has already when it is theirs. */
    public String remember(long adviserId, Optional<String> knownBrowser) {
        Timestamp now = Timestamp.from(clock.instant());
        boolean known = knownBrowser.isPresent()
                && jdbc.sql("update known_browser set seen_at = ? where token_hash = ? and adviser_id = ?")
                                .params(now, Tokens.hash(knownBrowser.get()), adviserId)
                                .update()
                        == 1;
        if (known) {
            return knownBrowser.get();
        }
        String token = Tokens.fresh();
        jdbc.sql("insert into known_browser (token_hash, adviser_id, seen_at) values (?, ?, ?)")
                .params(Tokens.hash(token), adviserId, now)
                .update();
        return token;
    }

    private List<Bucket> buckets(String email, String address, Optional<String> knownBrowser) {
        Optional<String> known = knownBrowser
                .map(Tokens::hash)
                .filter(h -> jdbc.sql("select count(*) from known_browser k join adviser a on a.id = k.adviser_id"
                                        + " where k.token_hash = ? and a.email = ?")
                                .params(h, email)
                                .query(Integer.class)
                                .single()
                        == 1);
        if (known.isPresent()) {
            return List.of(bucket("browser " + known.get(), FROM_KNOWN_BROWSER));
        }
        return List.of(
                bucket("account " + email + " from " + address, ACCOUNT_FROM_ADDRESS),
                bucket("account " + email, ACCOUNT_FROM_ANYWHERE),
                bucket("address " + address, ADDRESS_FOR_ANY_ACCOUNT));
    }

    /** Buckets are kept by hash: the table does not show who tried what from where. */
    private static Bucket bucket(String name, int most) {
        return new Bucket(Tokens.hash(name), most);
    }

    private void forget(List<Long> ids) {
        jdbc.sql("delete from failed_sign_in where id in (:ids)")
                .param("ids", ids)
                .update();
    }
}
