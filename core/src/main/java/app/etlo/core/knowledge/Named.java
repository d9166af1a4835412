package app.etlo.core.knowledge;

/** A member of a closed list that tables and documents name by a short id. */
public interface Named {
    String id();
}
