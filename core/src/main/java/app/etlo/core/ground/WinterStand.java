package app.etlo.core.ground;

import app.etlo.core.quantity.Band;
import java.time.LocalDate;

/**
 * A cover as winter finds it, simulated.
 *
 * @param day of the begin of winter
 * @param living share of the ground that its leaves cover, 0 to 1
 * @param covered share that leaves and residue cover together, the middle of the years
 */
public record WinterStand(LocalDate day, Band living, double covered) {}
