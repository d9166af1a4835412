package app.etlo.core.nitrogen;

import java.time.LocalDate;

/**
 * A test that decides on a crop's nitrogen.
 *
 * @param what is done, as a heading
 * @param from first day on which it says something
 * @param to last such day
 * @param says how, and what follows, as sentences
 * @param done whether a result of those days is entered
 */
public record TestToTake(String id, String what, LocalDate from, LocalDate to, String says, boolean done) {}
