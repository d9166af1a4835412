package app.etlo.server.account;

import java.io.Serializable;
import java.security.Principal;

/** Who is signed in, and for which workspace. */
public record Adviser(long id, long workspaceId, String email, String practice) implements Principal, Serializable {
    private static final long serialVersionUID = 2L;

    /** The number by which all sessions of a person are found. */
    @Override
    public String getName() {
        return String.valueOf(id);
    }
}
