package app.etlo.server.account;

import java.util.function.Supplier;
import org.hibernate.context.spi.CurrentTenantIdentifierResolver;
import org.springframework.boot.autoconfigure.orm.jpa.HibernatePropertiesCustomizer;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/**
 * The wall between practices: Hibernate puts the workspace of whoever is signed in on every row it writes and into every
 * query it makes. Without anybody signed in the workspace is one that does not exist.
 */
@Component
public class Workspace implements CurrentTenantIdentifierResolver<Long>, HibernatePropertiesCustomizer {
    private static final long NONE = 0;
    private static final ThreadLocal<Long> ACTING = new ThreadLocal<>();
    private static final ThreadLocal<Boolean> READING_SESSION = new ThreadLocal<>();

    /** Does something for a workspace without anybody signed in, such as loading demo data. */
    public static <T> T acting(long workspaceId, Supplier<T> work) {
        ACTING.set(workspaceId);
        try {
            return work.get();
        } finally {
            ACTING.remove();
        }
    }

    @Override
    public Long resolveCurrentTenantIdentifier() {
        return current();
    }

    /** The workspace of whoever is signed in; 0, which is none, without anybody and while their session is being read. */
    static long current() {
        Long acting = ACTING.get();
        if (acting != null) {
            return acting;
        }
        if (READING_SESSION.get() != null) {
            return NONE;
        }
        READING_SESSION.set(true);
        try {
            Authentication who = SecurityContextHolder.getContext().getAuthentication();
            return who != null && who.getPrincipal() instanceof Adviser a ? a.workspaceId() : NONE;
        } finally {
            READING_SESSION.remove();
        }
    }

    @Override
    public boolean validateExistingCurrentSessions() {
        return true;
    }

    @Override
    public void customize(java.util.Map<String, Object> properties) {
        properties.put("hibernate.tenant_identifier_resolver", this);
    }
}
