package app.etlo.core.mix;

import java.util.List;
import java.util.Locale;

/**
 * The noxious plants that a field's adviser typed from the law in force. A name is on it when it and an entry are the same, or
 * one says the other more closely: "wild oat, resistant" is on a list with "wild oat". Etlo keeps no list of its own.
 */
public final class NoxiousList {
    private NoxiousList() {}

    /**
     * @param list names, lower case
     */
    public static boolean names(List<String> list, String plant) {
        String name = words(plant);
        return list.stream()
                .map(NoxiousList::words)
                .anyMatch(entry -> !entry.isBlank() && (name.contains(entry) || entry.equals(name)));
    }

    /** Words between single spaces with one before and one after, so that only whole words meet. */
    private static String words(String text) {
        return " " + text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}]+", " ").strip() + " ";
    }
}
