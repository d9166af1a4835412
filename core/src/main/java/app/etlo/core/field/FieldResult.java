package app.etlo.core.field;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.ArrayList;
import java.util.List;

/**
 * What the ground of a field comes to before anything is planned on it.
 *
 * @param area of the field, ha
 * @param water that its rooted soil can hold for plants, mm
 * @param layers of the soil, from the top
 */
public record FieldResult(Figure area, Figure water, List<SoilWaterLimits.OfLayer> layers) implements Figured {
    public static FieldResult of(Figure area, SoilProfile soil) {
        List<SoilWaterLimits.OfLayer> layers = new ArrayList<>();
        for (int i = 0; i < soil.layers().size(); i++) {
            layers.add(SoilWaterLimits.figures(
                    "field/soil/" + (i + 1), soil.layers().get(i)));
        }
        return new FieldResult(area, SoilWaterLimits.available("field/water", soil.rooted()), List.copyOf(layers));
    }

    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>(List.of(area, water));
        layers.forEach(l -> all.addAll(l.figures()));
        return all;
    }
}
