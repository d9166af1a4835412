package app.etlo.core.mix;

import java.time.LocalDate;

/**
 * The time in which a mix grows.
 *
 * @param sown day it goes into the ground
 * @param end day it is ended, or must make way
 */
public record MixSeason(LocalDate sown, LocalDate end) {}
