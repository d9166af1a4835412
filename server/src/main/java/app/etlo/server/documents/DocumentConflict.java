package app.etlo.server.documents;

import java.util.List;
import java.util.Optional;

/** Somebody else changed the same of a shared document, or took it out. */
public final class DocumentConflict extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final transient Optional<String> current;
    private final transient List<String> theirs;
    private final transient List<String> overlaps;

    DocumentConflict(Optional<String> current, List<String> theirs, List<String> overlaps) {
        super("changed elsewhere in the meantime");
        this.current = current;
        this.theirs = List.copyOf(theirs);
        this.overlaps = List.copyOf(overlaps);
    }

    /** What is kept now; nothing when it was removed. */
    public Optional<String> current() {
        return current;
    }

    /** What others changed, in words. */
    public List<String> theirs() {
        return theirs;
    }

    /** The editor's changes that meet with another's, in words. */
    public List<String> overlaps() {
        return overlaps;
    }
}
