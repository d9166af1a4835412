package app.etlo.server.account;

import app.etlo.core.quantity.UnitSystem;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Practices and how people come into them. This is the only place that looks across workspaces: nobody is signed in yet. */
@Service
public class Accounts {
    /** For how long a link to a new password works. */
    public static final Duration RESET_LASTS = Duration.ofHours(1);

    private static final Duration BETWEEN_RESETS = Duration.ofMinutes(1);

    private final JdbcClient jdbc;
    private final PasswordEncoder encoder;
    private final Clock clock;
    /** Checked when the address is unknown, so that an answer takes as long either way. */
    private final String nobody;

    Accounts(JdbcClient jdbc, PasswordEncoder encoder, Clock clock) {
        this.jdbc = jdbc;
        this.encoder = encoder;
        this.clock = clock;
        this.nobody = encoder.encode("nobody");
    }

    /** The address is already in use. */
    public static final class AddressTaken extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    private record Row(long id, long workspaceId, String email, String passwordHash, String practice) {
        Adviser adviser() {
            return new Adviser(id, workspaceId, email, practice);
        }
    }

    /**
     * A link to a new password.
     *
     * @param email the address as it is stored, which is where the link goes
     */
    public record Reset(String email, String token) {}

    /** An invitation that still holds. */
    public record Invitation(long id, long workspaceId, String practice, String role) {}

    /**
     * Creates a practice with its first adviser.
     *
     * @param zone by which the practice's day begins
     * @param units the person reads
     * @throws AddressTaken when the address has an account
     */
    @Transactional
    public Adviser open(String practice, ZoneId zone, UnitSystem units, String email, String password) {
        long workspace = jdbc.sql("insert into workspace (name, zone) values (?, ?) returning id")
                .params(practice.strip(), zone.getId())
                .query(Long.class)
                .single();
        return join(workspace, practice.strip(), "", units, email, password, Role.ADVISER);
    }

    /** The invitation this link stands for, while it holds: not past its time, and made by somebody who may still invite. */
    public Optional<Invitation> invitation(String token) {
        return jdbc.sql("select i.id, i.workspace_id, w.name as practice, i.role from invitation i"
                        + " join workspace w on w.id = i.workspace_id where i.token_hash = ? and i.expires_at > ?"
                        + " and exists (select from adviser a where a.workspace_id = i.workspace_id"
                        + " and a.email = i.made_by and a.role = 'adviser')")
                .params(Tokens.hash(token), now())
                .query(Invitation.class)
                .optional();
    }

    /**
     * Takes an invitation up, which uses it.
     *
     * @throws AddressTaken when the address has an account
     */
    @Transactional
    public Optional<Adviser> accept(String token, String name, UnitSystem units, String email, String password) {
        Optional<Invitation> found = invitation(token);
        if (found.isEmpty()
                || jdbc.sql("delete from invitation where id = ?")
                                .param(found.get().id())
                                .update()
                        == 0) {
            return Optional.empty();
        }
        Invitation i = found.get();
        return Optional.of(join(i.workspaceId(), i.practice(), name, units, email, password, Role.of(i.role())));
    }

    private Adviser join(
            long workspace, String practice, String name, UnitSystem units, String email, String password, Role role) {
        String address = normal(email);
        try {
            long id = jdbc.sql("insert into adviser (workspace_id, email, password_hash, name, role, units, joined_at)"
                            + " values (?, ?, ?, ?, ?, ?, ?) returning id")
                    .params(workspace, address, encoder.encode(password), name.strip(), role.id(), units.id(), now())
                    .query(Long.class)
                    .single();
            return new Adviser(id, workspace, address, practice);
        } catch (DuplicateKeyException e) {
            throw new AddressTaken();
        }
    }

    /** The adviser with this address and password. */
    public Optional<Adviser> signIn(String email, String password) {
        Optional<Row> row = find(email);
        boolean right = encoder.matches(password, row.map(Row::passwordHash).orElse(nobody));
        return row.filter(r -> right).map(Row::adviser);
    }

    /** What the person is in the practice at this moment; nothing when they no longer belong to it. */
    public Optional<Role> roleNow(Adviser adviser) {
        return jdbc.sql("select role from adviser where id = ? and workspace_id = ?")
                .params(adviser.id(), adviser.workspaceId())
                .query(String.class)
                .optional()
                .map(Role::of);
    }

    /** The units a person reads where no farm is meant. */
    public UnitSystem units(Adviser adviser) {
        return UnitSystem.of(jdbc.sql("select units from adviser where id = ?")
                .param(adviser.id())
                .query(String.class)
                .single());
    }

    public void setUnits(Adviser adviser, UnitSystem units) {
        jdbc.sql("update adviser set units = ? where id = ?")
                .params(units.id(), adviser.id())
                .update();
    }

    /** Whether the address has an account. */
    public boolean exists(String email) {
        return find(email).isPresent();
    }

    /** Sets a password; links to a new one that were sent before no longer work. */
    @Transactional
    public void setPassword(long adviserId, String password) {
        int changed = jdbc.sql("update adviser set password_hash = ? where id = ?")
                .params(encoder.encode(password), adviserId)
                .update();
        if (changed == 0) {
            throw new IllegalStateException("no such adviser");
        }
        endResets(adviserId);
    }

    private void endResets(long adviserId) {
        jdbc.sql("delete from password_reset where adviser_id = ?")
                .param(adviserId)
                .update();
    }

    /**
     * The secret of a link to a new password, for an address that has an account. Earlier links stop working; none is made
     * within a minute of the last, so that nobody's letter-box is filled.
     */
    @Transactional
    public Optional<Reset> offerReset(String email) {
        Timestamp justNow = Timestamp.from(clock.instant().plus(RESET_LASTS).minus(BETWEEN_RESETS));
        return find(email).filter(row -> !hasReset(row.id(), justNow)).map(row -> {
            String token = Tokens.fresh();
            endResets(row.id());
            jdbc.sql("insert into password_reset (token_hash, adviser_id, expires_at) values (?, ?, ?)")
                    .params(
                            Tokens.hash(token),
                            row.id(),
                            Timestamp.from(clock.instant().plus(RESET_LASTS)))
                    .update();
            return new Reset(row.email(), token);
        });
    }

    private boolean hasReset(long adviserId, Timestamp expiringAfter) {
        return jdbc.sql("select count(*) from password_reset where adviser_id = ? and expires_at > ?")
                        .params(adviserId, expiringAfter)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** Sets the new password that a link allows, once. */
    @Transactional
    public Optional<Adviser> reset(String token, String password) {
        Optional<String> email = jdbc.sql("delete from password_reset r using adviser a where a.id = r.adviser_id"
                        + " and r.token_hash = ? and r.expires_at > ? returning a.email")
                .params(Tokens.hash(token), now())
                .query(String.class)
                .optional();
        return email.flatMap(this::find).map(row -> {
            setPassword(row.id(), password);
            return row.adviser();
        });
    }

    private Optional<Row> find(String email) {
        return jdbc.sql("select a.id, a.workspace_id, a.email, a.password_hash, w.name as practice"
                        + " from adviser a join workspace w on w.id = a.workspace_id where a.email = ?")
                .param(normal(email))
                .query(Row.class)
                .optional();
    }

    private Timestamp now() {
        Instant now = clock.instant();
        return Timestamp.from(now);
    }

    /**
     * Addresses are compared without case. A letter is lowered only where raising it again gives it back: the Kelvin sign or a
     * dotted capital I would otherwise become plain letters and match somebody else's address.
     */
    static String normal(String email) {
        return email.strip()
                .codePoints()
                .map(c -> {
                    int low = Character.toLowerCase(c);
                    return Character.toUpperCase(low) == c ? low : c;
                })
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
    }
}
