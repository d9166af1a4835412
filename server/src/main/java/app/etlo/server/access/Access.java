package app.etlo.server.access;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Who may call an endpoint. An endpoint without it answers nobody. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Access {
    Who value();

    /** The circles of people, from the widest to the narrowest. */
    enum Who {
        /** Nobody needs to be signed in. */
        ANYONE,
        /** Everybody of a practice, for what is the practice's own. */
        MEMBER,
        /** The advisers of a practice, not its assistants. */
        ADVISER
    }
}
