package app.etlo.core.ground;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.List;
import java.util.Optional;

/**
 * What a crop finds when it is planted and what it grows to, as simulated; empty where its days lie outside the simulation.
 *
 * @param water that roots can draw at planting, mm
 * @param mineralN in the soil at planting, kg/ha
 * @param residueCover ground covered at planting, %
 * @param mass dry tops at harvest, t/ha: to compare plans, not a yield
 */
public record GrownCrop(
        Optional<Figure> water, Optional<Figure> mineralN, Optional<Figure> residueCover, Optional<Figure> mass)
        implements Figured {
    public static final GrownCrop UNKNOWN =
            new GrownCrop(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    @Override
    public List<Figure> figures() {
        return Figured.present(water, mineralN, residueCover, mass);
    }
}
