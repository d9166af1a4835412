package app.etlo.server.plan;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/**
 * Which revision an undo of one author takes back and which a redo brings again, from all changes in their order. Everybody
 * undoes only what they did themselves; what others do in between leaves it as it is.
 */
final class UndoStack {
    private final Deque<Integer> done = new ArrayDeque<>();
    private final Deque<Integer> undone = new ArrayDeque<>();

    UndoStack(List<Change> changes, String author) {
        for (Change c : changes) {
            if (!c.author().equals(author)) {
                continue;
            }
            switch (c.kind()) {
                case "create" -> {
                    // the first revision is where undoing ends
                }
                case "undo" -> undone.push(done.pop());
                case "redo" -> done.push(undone.pop());
                default -> {
                    done.push(c.number());
                    undone.clear();
                }
            }
        }
    }

    Optional<Integer> toUndo() {
        return Optional.ofNullable(done.peek());
    }

    Optional<Integer> toRedo() {
        return Optional.ofNullable(undone.peek());
    }
}
