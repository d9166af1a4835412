package app.etlo.core.field;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Source;
import java.util.List;

/**
 * How much water a soil holds at wilting point (1500 kPa), field capacity (33 kPa) and saturation, volume fractions of the fine
 * earth, by Saxton and Rawls 2006 (Soil Science Society of America Journal 70:1569; from memory, checked against the table 3 as
 * remembered). Sand and clay are mass fractions, organic matter in percent. Made for up to 8 % of organic matter and 60 % of
 * clay; beyond that the values are held there. Stones hold nothing.
 */
public final class SoilWaterLimits {
    private static final Source SAXTON =
            Source.fromMemory("Saxton and Rawls 2006, Soil Science Society of America Journal 70:1569");
    /** Beyond these the regressions are not meant. */
    public static final double MOST_ORGANIC_PERCENT = 8;

    public static final double MOST_CLAY_PERCENT = 60;
    /** Wilting point, field capacity and saturation lie at least this far apart. */
    private static final double LEAST_APART = 0.02;

    private static final String T1500 = "(-0.024*S + 0.487*C + 0.006*OM + 0.005*S*OM - 0.013*C*OM + 0.068*S*C + 0.031)";
    private static final String T33 = "(-0.251*S + 0.195*C + 0.011*OM + 0.006*S*OM - 0.027*C*OM + 0.452*S*C + 0.299)";
    private static final String TS33 = "(0.278*S + 0.034*C + 0.022*OM - 0.018*S*OM - 0.027*C*OM - 0.584*S*C + 0.078)";
    private static final Formula WILTING = Formula.of(
            "Wilting point", "(" + T1500 + " * 1.14 - 0.02) * (1 - stones)", SAXTON, "S", "C", "OM", "stones");
    private static final Formula CAPACITY = Formula.of(
            "Field capacity",
            "max((" + T33 + " + 1.283*" + T33 + "^2 - 0.374*" + T33 + " - 0.015) * (1 - stones), wilting + 0.02)",
            SAXTON,
            "S",
            "C",
            "OM",
            "stones",
            "wilting");
    private static final Formula SATURATION = Formula.of(
            "Saturation",
            "max((field + 1.636*" + TS33 + " - 0.107 - 0.097*S + 0.043) * (1 - stones), field * (1 - stones))",
            SAXTON,
            "S",
            "C",
            "OM",
            "stones",
            "field");

    private SoilWaterLimits() {}

    /** The limits of one layer, volume fractions, with their workings. */
    public record OfLayer(Figure wiltingPoint, Figure fieldCapacity, Figure saturation) implements Figured {
        @Override
        public List<Figure> figures() {
            return List.of(wiltingPoint, fieldCapacity, saturation);
        }
    }

    /**
     * The limits of one soil.
     *
     * @param saturation never below field capacity
     * @param densityGCm3 bulk density of the fine earth, g/cm3
     */
    public record Limits(double wiltingPoint, double fieldCapacity, double saturation, double densityGCm3) {
        /** What plants can draw, mm of water per metre of depth. */
        public double availableMmPerM() {
            return (fieldCapacity - wiltingPoint) * 1000;
        }
    }

    /**
     * The limits of a soil.
     *
     * @param sandPercent of the fine earth by mass, 0 to 100
     * @param clayPercent of the fine earth by mass, 0 to 100
     * @param organicPercent organic matter by mass, 0 to 100
     * @param stonePercent stones by volume, 0 to 95
     * @throws IllegalArgumentException when sand and clay are more than the whole
     */
    public static Limits of(double sandPercent, double clayPercent, double organicPercent, double stonePercent) {
        if (sandPercent < 0 || clayPercent < 0 || sandPercent + clayPercent > 100 + 1e-9) {
            throw new IllegalArgumentException("sand and clay are at least 0 and together at most 100 %");
        }
        double s = sandPercent / 100;
        double c = Math.min(MOST_CLAY_PERCENT, clayPercent) / 100;
        double om = Math.min(MOST_ORGANIC_PERCENT, organicPercent);
        double t1500 = -0.024 * s + 0.487 * c + 0.006 * om + 0.005 * s * om - 0.013 * c * om + 0.068 * s * c + 0.031;
        double wilting = t1500 + 0.14 * t1500 - 0.02;
        double t33 = -0.251 * s + 0.195 * c + 0.011 * om + 0.006 * s * om - 0.027 * c * om + 0.452 * s * c + 0.299;
        double field = Math.max(wilting + LEAST_APART, t33 + 1.283 * t33 * t33 - 0.374 * t33 - 0.015);
        double ts33 = 0.278 * s + 0.034 * c + 0.022 * om - 0.018 * s * om - 0.027 * c * om - 0.584 * s * c + 0.078;
        double saturation = Math.max(field, field + 1.636 * ts33 - 0.107 - 0.097 * s + 0.043);
        double earth = 1 - Math.max(0, Math.min(95, stonePercent)) / 100;
        return new Limits(wilting * earth, field * earth, saturation * earth, 2.65 * (1 - saturation));
    }

    /** Water plants can draw from a depth of soil, mm, with its working over the layers of a profile. */
    public static Figure available(String id, List<SoilProfile.Layer> layers) {
        StringBuilder sum = new StringBuilder();
        List<Input> inputs = new java.util.ArrayList<>();
        for (int i = 0; i < layers.size(); i++) {
            SoilProfile.Layer l = layers.get(i);
            String n = String.valueOf(i + 1);
            sum.append(i == 0 ? "" : " + ").append("(fc" + n + " - wp" + n + ") * thick" + n);
            String where = l.where();
            inputs.add(Input.of(
                    "fc" + n,
                    "Field capacity, " + where,
                    l.limits().fieldCapacity(),
                    Unit.FRACTION,
                    l.origin(),
                    l.from()));
            inputs.add(Input.of(
                    "wp" + n,
                    "Wilting point, " + where,
                    l.limits().wiltingPoint(),
                    Unit.FRACTION,
                    l.origin(),
                    l.from()));
            inputs.add(Input.of(
                    "thick" + n,
                    "Thickness, " + where,
                    l.thicknessM() * 1000,
                    Unit.MILLIMETRE,
                    l.origin(),
                    "soil layers"));
        }
        return Formula.of(
                        "Plant-available water of the root zone",
                        sum.toString(),
                        SAXTON,
                        inputs.stream().map(Input::symbol).toArray(String[]::new))
                .remarking("Field capacity and wilting point by sand, clay and organic matter; see the soil table.")
                .figure(id, "Water the soil can hold for plants", Unit.MILLIMETRE, inputs);
    }

    /** The limits of one layer as figures, with their working. */
    public static OfLayer figures(String prefix, SoilProfile.Layer l) {
        Input s = Input.of("S", "Sand", l.sandPercent() / 100, Unit.FRACTION, l.origin(), l.from());
        Input c = Input.of(
                "C", "Clay", Math.min(MOST_CLAY_PERCENT, l.clayPercent()) / 100, Unit.FRACTION, l.origin(), l.from());
        Input om = Input.of(
                "OM",
                "Organic matter, percent",
                Math.min(MOST_ORGANIC_PERCENT, l.organicPercent()),
                Unit.COUNT,
                l.organicOrigin(),
                "soil layers");
        Input stones = Input.of("stones", "Stones", l.stonePercent() / 100, Unit.FRACTION, l.origin(), "soil layers");
        Figure wilting = WILTING.figure(
                prefix + "/wiltingPoint", "Wilting point, " + l.where(), Unit.FRACTION, List.of(s, c, om, stones));
        Figure capacity = CAPACITY.figure(
                prefix + "/fieldCapacity",
                "Field capacity, " + l.where(),
                Unit.FRACTION,
                List.of(s, c, om, stones, Input.figure("wilting", wilting)));
        double earth = 1 - l.stonePercent() / 100;
        Input fine = Input.of(
                "field",
                "Field capacity of the fine earth",
                earth == 0 ? 0 : capacity.middle() / earth,
                Unit.FRACTION,
                l.origin(),
                "computed");
        Figure saturation = SATURATION.figure(
                prefix + "/saturation", "Saturation, " + l.where(), Unit.FRACTION, List.of(s, c, om, stones, fine));
        return new OfLayer(wilting, capacity, saturation);
    }
}
