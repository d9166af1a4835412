package app.etlo.core.plan.document;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Names of a document's members as words, for sentences about them. */
public final class MemberWords {
    private MemberWords() {}

    /** Member names as words: {@code organicMatterPercent} is organic matter. */
    public static String of(List<String> path) {
        return path.stream()
                .map(name -> name.replaceAll("(Percent|Id)$", "")
                        .replaceAll("([a-z])([A-Z])", "$1 $2")
                        .toLowerCase(Locale.ROOT))
                .map(w -> w.equals("nitrogen percent") ? "nitrogen" : w)
                .collect(Collectors.joining(", "));
    }
}
