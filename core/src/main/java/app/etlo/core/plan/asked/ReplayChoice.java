package app.etlo.core.plan.asked;

import app.etlo.core.plan.document.Refused;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What was chosen on a day of a replay when it asked.
 *
 * @param made the day on which it was chosen
 * @param kind sow or end
 * @param subject the cover or the crop after it
 * @param to the day it is to be done; {@code made} itself when it was done at once
 * @param method another way of ending
 */
public record ReplayChoice(LocalDate made, String kind, String subject, LocalDate to, Optional<String> method) {
    public ReplayChoice {
        if (made == null || kind == null || subject == null || to == null) {
            throw new Refused("/choices", "a choice needs made, kind, subject and to");
        }
        if (to.isBefore(made)) {
            throw new Refused("/choices", "what is done on a day that is past cannot be chosen");
        }
        method = method == null ? Optional.empty() : method;
    }

    boolean isOf(String otherKind, String otherSubject) {
        return kind.equals(otherKind) && subject.equals(otherSubject);
    }

    boolean isDone() {
        return to.equals(made);
    }
}
