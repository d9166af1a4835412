package app.etlo.core.plan.document;

import app.etlo.core.plan.document.PlanDocument.CheckEntry;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Something seen of a field and written down there; it is never changed. A later entry may stand in its place.
 *
 * @param ref made where it was written, so that it is kept once however often it is sent
 * @param coverId the cover that was looked at
 * @param check what was seen; absent where the entry takes back the one it replaces
 * @param replaces ref of an earlier entry
 */
public record LogEntry(
        String ref,
        String coverId,
        LocalDate on,
        String author,
        Instant at,
        Optional<CheckEntry> check,
        Optional<String> replaces) {
    private static final Pattern REF = Pattern.compile("[A-Za-z0-9-]{1,64}");

    /**
     * Makes sure that it can be kept.
     *
     * @throws Refused with what is wrong, at its place
     */
    public void require(PlanReader reader) {
        if (ref == null || !REF.matcher(ref).matches()) {
            throw new Refused("/ref", "1 to 64 letters, digits and hyphens");
        }
        if (coverId == null || coverId.isBlank() || coverId.length() > 80) {
            throw new Refused("/coverId", "the cover that was looked at");
        }
        if (on == null) {
            throw new Refused("/on", "the day is missing");
        }
        if (check.isEmpty() && replaces.isEmpty()) {
            throw new Refused("/check", "nothing was seen, and nothing is taken back");
        }
        check.ifPresent(c -> {
            try {
                reader.readCheck(Json.tree(Json.write(c)));
            } catch (Refused e) {
                throw new Refused(e.problems().stream()
                        .map(p -> new Problem("/check" + p.pointer(), p.message()))
                        .toList());
            }
            if (!c.on().equals(on)) {
                throw new Refused("/check/on", "another day than the entry's");
            }
        });
    }
}
