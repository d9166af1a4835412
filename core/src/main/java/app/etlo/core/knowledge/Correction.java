package app.etlo.core.knowledge;

import java.time.LocalDate;

/**
 * A practice's own value for a cell of the species library. It wins over the library's; the library's stays readable.
 *
 * @param column id of a {@link SpeciesColumn}
 * @param value as text, in the column's unit
 * @param by who corrected it
 * @param why in their words
 */
public record Correction(String species, String column, String value, String by, LocalDate on, String why) {}
