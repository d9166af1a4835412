package app.etlo.core.mix;

import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;

/**
 * The time in which a mix grows.
 *
 * @param sown day it goes into the ground
 * @param end day it is ended, or must make way
 * @param soilWaterMm what the soil can hold for plants
 */
public record MixSeason(YearsAhead years, LocalDate sown, LocalDate end, double soilWaterMm) {}
