package app.etlo.core.mix;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What a look into the field says of a cover, and when to look again.
 *
 * @param about stand, autumn, nodules, balance, bloom, or the gate it is of
 * @param word good, thin, failed, early ...
 * @param said with the numbers behind it
 * @param causes of what is missing, the likeliest first
 * @param next day to look again or to decide by
 */
public record GrowVerdict(
        String about,
        String word,
        String said,
        List<String> causes,
        Optional<LocalDate> next,
        Optional<String> toDo,
        Optional<LibraryProposal> proposal) {
    /**
     * A value of the library that was found to be another here; only the adviser takes it over.
     *
     * @param column of the species
     * @param why in words
     */
    public record LibraryProposal(String species, String column, String value, String why) {}

    public GrowVerdict(
            String about,
            String word,
            String said,
            List<String> causes,
            Optional<LocalDate> next,
            Optional<String> toDo) {
        this(about, word, said, causes, next, toDo, Optional.empty());
    }
}
