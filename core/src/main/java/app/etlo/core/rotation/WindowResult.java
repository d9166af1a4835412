package app.etlo.core.rotation;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A window with what it offers; without weather only its length and, inside a crop, its light.
 *
 * @param degreeDays of cool-season growth, {@code warmDegreeDays} of warm-season growth
 * @param firstFrost of autumn inside it, where most years have one
 * @param lastFrost of spring inside it, where most years have one
 * @param water in the root zone on its first day and the rain in it, mm
 * @param drillDays dry enough to drill until its kind allows no more sowing
 * @param light under the crop it lies in, %
 */
public record WindowResult(
        Window window,
        Optional<Figure> degreeDays,
        Optional<Figure> warmDegreeDays,
        Optional<Figure> firstFrost,
        Optional<Figure> lastFrost,
        Optional<Figure> water,
        Optional<Figure> drillDays,
        Optional<Figure> light)
        implements Figured {
    /** Without weather. */
    public static WindowResult plain(Window window) {
        return new WindowResult(
                window,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>(List.of(window.days()));
        all.addAll(Figured.present(degreeDays, warmDegreeDays, firstFrost, lastFrost, water, drillDays, light));
        return all;
    }
}
