package app.etlo.server.plan;

/**
 * What a revision did.
 *
 * @param kind create, edit, undo or redo
 * @param target the revision undone or done again, else null
 */
record Change(int number, String kind, Integer target) {
    static Change edit() {
        return new Change(0, "edit", null);
    }

    static Change create() {
        return new Change(0, "create", null);
    }
}
