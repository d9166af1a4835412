package app.etlo.server.account;

import java.util.Locale;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Practices and the people in them. This is the only place that looks across workspaces: nobody is signed in yet. */
@Service
public class Accounts {
    private final JdbcClient jdbc;
    private final PasswordEncoder encoder;
    /** Checked when the address is unknown, so that an answer takes as long either way. */
    private final String nobody;

    Accounts(JdbcClient jdbc, PasswordEncoder encoder) {
        this.jdbc = jdbc;
        this.encoder = encoder;
        this.nobody = encoder.encode("nobody");
    }

    /** The address is already in use. */
    public static final class AddressTaken extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    private record Row(long id, long workspaceId, String email, String passwordHash, String practice) {}

    /**
     * Opens a practice with its first adviser.
     *
     * @throws AddressTaken when the address has an account
     */
    @Transactional
    public Adviser open(String practice, String email, String password) {
        String address = normal(email);
        long workspace = jdbc.sql("insert into workspace (name) values (?) returning id")
                .param(practice.strip())
                .query(Long.class)
                .single();
        try {
            long id = jdbc.sql("insert into adviser (workspace_id, email, password_hash) values (?, ?, ?) returning id")
                    .params(workspace, address, encoder.encode(password))
                    .query(Long.class)
                    .single();
            return new Adviser(id, workspace, address, practice.strip());
        } catch (DuplicateKeyException e) {
            throw new AddressTaken();
        }
    }

    /** The adviser with this address and password. */
    public Optional<Adviser> signIn(String email, String password) {
        Optional<Row> row = find(email);
        boolean right = encoder.matches(password, row.map(Row::passwordHash).orElse(nobody));
        return row.filter(r -> right).map(r -> new Adviser(r.id(), r.workspaceId(), r.email(), r.practice()));
    }

    /** Whether the address has an account. */
    public boolean exists(String email) {
        return find(email).isPresent();
    }

    private Optional<Row> find(String email) {
        return jdbc.sql("select a.id, a.workspace_id, a.email, a.password_hash, w.name as practice"
                        + " from adviser a join workspace w on w.id = a.workspace_id where a.email = ?")
                .param(normal(email))
                .query(Row.class)
                .optional();
    }

    private static String normal(String email) {
        return email.strip().toLowerCase(Locale.ROOT);
    }
}
