package app.etlo.server.plan;

/**
 * What a revision did.
 *
 * @param kind create, edit, import, merge, restore, undo or redo
 * @param target the revision undone, done again or restored, else null
 */
record Change(int number, String kind, Integer target, String author) {
    static Change of(String kind, String author) {
        return new Change(0, kind, null, author);
    }

    static Change of(String kind, int target, String author) {
        return new Change(0, kind, target, author);
    }
}
