package app.etlo.core.mix;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What a look into the field says of a cover, and when to look again.
 *
 * @param about stand, autumn, nodules, balance or bloom
 * @param word good, thin, failed, early ...
 * @param said with the numbers behind it
 * @param causes of what is missing, the likeliest first
 * @param next day to look again or to decide by
 */
public record GrowVerdict(
        String about, String word, String said, List<String> causes, Optional<LocalDate> next, Optional<String> toDo) {}
