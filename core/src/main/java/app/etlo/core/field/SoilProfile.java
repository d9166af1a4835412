package app.etlo.core.field;

import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Origin;
import java.util.List;

/**
 * The soil of a field by layers from the surface down, with the limits of its water.
 *
 * @param rootingM depth below which nothing roots
 */
public record SoilProfile(List<Layer> layers, double rootingM) {
    /** Depth looked at where nothing limits the roots. */
    public static final double USUAL_DEPTH_M = 1.2;

    public static final double USUAL_ORGANIC_PERCENT = 2.5;

    public SoilProfile {
        layers = List.copyOf(layers);
    }

    /**
     * @param from where texture comes from, in words
     * @param origin of the texture
     * @param organicOrigin of the organic matter
     */
    public record Layer(
            double topM,
            double thicknessM,
            double sandPercent,
            double clayPercent,
            double organicPercent,
            double stonePercent,
            Origin origin,
            Origin organicOrigin,
            String from) {
        public SoilWaterLimits.Limits limits() {
            return SoilWaterLimits.of(sandPercent, clayPercent, organicPercent, stonePercent);
        }

        public String where() {
            return Said.span(Math.round(topM * 100), Math.round((topM + thicknessM) * 100), Unit.CENTIMETRE);
        }
    }

    /** The layers that roots can reach, the last cut where they end. */
    public List<Layer> rooted() {
        return layers.stream()
                .filter(l -> l.topM() < rootingM - 1e-9)
                .map(l -> l.topM() + l.thicknessM() <= rootingM
                        ? l
                        : new Layer(
                                l.topM(),
                                rootingM - l.topM(),
                                l.sandPercent(),
                                l.clayPercent(),
                                l.organicPercent(),
                                l.stonePercent(),
                                l.origin(),
                                l.organicOrigin(),
                                l.from()))
                .toList();
    }

    /** Water between wilting point and field capacity in the rooted depth, mm. */
    public double availableMm() {
        return rooted().stream()
                .mapToDouble(l -> l.limits().availableMmPerM() * l.thicknessM())
                .sum();
    }

    /** A profile nobody has entered: loam with the usual organic matter, marked as default. */
    public static SoilProfile usual() {
        return new SoilProfile(
                List.of(new Layer(
                        0,
                        USUAL_DEPTH_M,
                        Texture.LOAM.sandPercent(),
                        Texture.LOAM.clayPercent(),
                        USUAL_ORGANIC_PERCENT,
                        0,
                        Origin.DEFAULT,
                        Origin.DEFAULT,
                        "no soil entered: loam")),
                USUAL_DEPTH_M);
    }
}
