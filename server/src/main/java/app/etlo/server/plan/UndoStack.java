package app.etlo.server.plan;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/** Which revision an undo takes back and which a redo brings again, from the changes in their order. */
final class UndoStack {
    private final Deque<Integer> done = new ArrayDeque<>();
    private final Deque<Integer> undone = new ArrayDeque<>();

    UndoStack(List<Change> changes) {
        for (Change c : changes) {
            switch (c.kind()) {
                case "edit" -> {
                    done.push(c.number());
                    undone.clear();
                }
                case "undo" -> undone.push(done.pop());
                case "redo" -> done.push(undone.pop());
                default -> {
                    // the first revision is where undoing ends
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
