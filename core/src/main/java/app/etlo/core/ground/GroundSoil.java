package app.etlo.core.ground;

import app.etlo.core.field.SoilProfile;
import app.etlo.core.field.SoilWaterLimits.Limits;
import java.util.Arrays;
import java.util.List;

/**
 * The soil in the layers in which the simulation keeps water and nitrate: 10, 20, 30, 60 and 60 cm thick, from the profile's
 * own layers by thickness. Roots go as deep as the profile's rooting limit; what lies below it holds water and gives none.
 */
public final class GroundSoil {
    /** Lower edges of the layers, m. */
    private static final double[] BOTTOM_M = {0.1, 0.3, 0.6, 1.2, 1.8};

    static final int LAYERS = BOTTOM_M.length;
    /** The layer that ends at 1.2 m: below it nitrate is lost to most of what will grow next. */
    static final int LAST_OF_ROOTS = 3;

    final double[] thicknessM = new double[LAYERS];
    final double[] topM = new double[LAYERS];
    final double[] wiltingMm = new double[LAYERS];
    final double[] capacityMm = new double[LAYERS];
    final double[] saturationMm = new double[LAYERS];
    final double organicPercent;
    final double rootingM;

    /** Water that can evaporate from the top layer, and the part of it that does so freely, mm (FAO-56, chapter 7). */
    final double evaporableMm;
    /** Added to the share of the available water at the start, and factors on nitrate then and on what humus frees. */
    final double moreWaterShare;

    final double nitrateFactor;
    final double humusFactor;

    /** Part of the light that neighbours share as patches, 0 to 1; the taller take the rest first. */
    final double patches;

    final GroundStart start;

    private GroundSoil(SoilProfile profile, GroundVariation v, GroundStart start) {
        this.start = start;
        double top = 0;
        List<SoilProfile.Layer> layers = profile.layers();
        double organic = 0;
        for (int l = 0; l < LAYERS; l++) {
            double bottom = BOTTOM_M[l];
            topM[l] = top;
            thicknessM[l] = bottom - top;
            double reached = top;
            for (int i = 0; i < layers.size(); i++) {
                SoilProfile.Layer from = layers.get(i);
                boolean last = i == layers.size() - 1;
                double end = last ? bottom : Math.min(bottom, from.topM() + from.thicknessM());
                double here = end - reached;
                if (here > 1e-9) {
                    Limits limits = from.limits();
                    wiltingMm[l] += limits.wiltingPoint() * here * 1000;
                    capacityMm[l] += limits.fieldCapacity() * here * 1000;
                    saturationMm[l] += limits.saturation() * here * 1000;
                    organic += Math.max(0, Math.min(end, 0.3) - Math.min(reached, 0.3)) * from.organicPercent();
                    reached = end;
                }
            }
            top = bottom;
        }
        for (int l = 0; l < LAYERS; l++) {
            double more = (v.ground().holds() - 1) * (capacityMm[l] - wiltingMm[l]);
            capacityMm[l] += more;
            saturationMm[l] += more;
        }
        this.patches = LightSharing.PATCH + v.plants().patches();
        this.organicPercent = organic / 0.3;
        this.rootingM = Math.min(BOTTOM_M[LAYERS - 1], profile.rootingM());
        this.evaporableMm = capacityMm[0] - 0.5 * wiltingMm[0];
        this.moreWaterShare = v.ground().waterShare();
        this.nitrateFactor = v.ground().nitrate();
        this.humusFactor = v.ground().humus();
    }

    public static GroundSoil of(SoilProfile profile) {
        return new GroundSoil(profile, GroundVariation.NONE, GroundStart.USUAL);
    }

    /** The same with its start or its humus moved. */
    public static GroundSoil of(SoilProfile profile, GroundVariation v) {
        return of(profile, v, GroundStart.USUAL);
    }

    /** The same after a crop that is known. */
    public static GroundSoil of(SoilProfile profile, GroundVariation v, GroundStart start) {
        return new GroundSoil(profile, v, start);
    }

    /** Whether two soils are the same to the simulation. */
    boolean isSame(GroundSoil o) {
        return Arrays.equals(wiltingMm, o.wiltingMm)
                && Arrays.equals(capacityMm, o.capacityMm)
                && Arrays.equals(saturationMm, o.saturationMm)
                && organicPercent == o.organicPercent
                && patches == o.patches
                && rootingM == o.rootingM
                && moreWaterShare == o.moreWaterShare
                && nitrateFactor == o.nitrateFactor
                && humusFactor == o.humusFactor
                && start.equals(o.start);
    }

    /** Lower edges of the layers, m. */
    public static List<Double> bottomsM() {
        return Arrays.stream(BOTTOM_M).boxed().toList();
    }

    /** Water between wilting point and field capacity in a layer, mm. */
    double availableMm(int layer) {
        return capacityMm[layer] - wiltingMm[layer];
    }

    /** Water of a layer that roots can draw when it is at a share between wilting point, 0, and field capacity, 1, mm. */
    public double reachableMm(int layer, double relativeWater) {
        return rootedShare(layer, rootingM) * Math.max(0, relativeWater) * availableMm(layer);
    }

    /** How many layers roots of a depth have reached. */
    int layersReached(double rootM) {
        double reach = Math.min(rootM, rootingM);
        int n = 0;
        while (n < LAYERS && topM[n] < reach) {
            n++;
        }
        return n;
    }

    /** Share of a layer that roots of a depth have reached, 0 to 1. */
    double rootedShare(int layer, double rootM) {
        double reach = (Math.min(rootM, rootingM) - topM[layer]) / thicknessM[layer];
        return reach <= 0 ? 0 : Math.min(1, reach);
    }
}
