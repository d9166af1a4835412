package app.etlo.server.limits;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** How often an endpoint may be called. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Limited {
    Kind value();

    /** What endpoints of one kind share. */
    enum Kind {
        /** Signing in. */
        ENTRANCE,
        /** Creating an account, and joining a practice. */
        JOINING,
        /** Opening a link one was sent, and asking for one. */
        LINK,
        EVALUATE,
        IMPORT
    }
}
