package app.etlo.core.mix;

import app.etlo.core.quantity.Dimension;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Catch tests in the yard: what a machine delivers at a setting, by how much to open or close it, and the setting to try next
 * from what it delivered before.
 */
public final class Calibration {
    private static final Source ARITHMETIC =
            Source.commonPractice("calibration by catching a known length, time or area");

    /**
     * What is measured in a test.
     *
     * @param name in words
     * @param unit the formula's own; a plain number where it is COUNT
     */
    public record Measure(String symbol, String name, Unit unit, double low, double high) {}

    /** A way of testing a machine. */
    public enum Kind {
        DRILL_DISTANCE(
                "drill-distance",
                "Drill, driven or pushed",
                Unit.KG_PER_HA,
                Formula.of(
                        "Drill over a distance",
                        "caught / 1000 / (width * distance) * 10000",
                        ARITHMETIC,
                        "caught",
                        "width",
                        "distance"),
                new Measure("caught", "Caught, all outlets", Unit.GRAM, 0.1, 500_000),
                new Measure("width", "Working width", Unit.METRE, 0.1, 30),
                new Measure("distance", "Distance", Unit.METRE, 1, 5000)),
        DRILL_TURNS(
                "drill-turns",
                "Drill, wheel turned",
                Unit.KG_PER_HA,
                Formula.of(
                        "Drill by turns of its wheel",
                        "caught / 1000 / (width * turns * round) * 10000",
                        ARITHMETIC,
                        "caught",
                        "width",
                        "turns",
                        "round"),
                new Measure("caught", "Caught, all outlets", Unit.GRAM, 0.1, 500_000),
                new Measure("width", "Working width", Unit.METRE, 0.1, 30),
                new Measure("turns", "Turns of the wheel", Unit.COUNT, 1, 1000),
                new Measure("round", "Wheel, round its tread", Unit.METRE, 0.3, 8)),
        SPREADER_TIME(
                "spreader-time",
                "Spinner or air seeder",
                Unit.KG_PER_HA,
                Formula.of(
                        "Mass in a time at speed and width",
                        "caught / seconds * 3600 / (speed * 1000 * width) * 10000",
                        ARITHMETIC,
                        "caught",
                        "seconds",
                        "speed",
                        "width"),
                new Measure("caught", "Caught", Unit.KILOGRAM, 0.01, 5000),
                new Measure("seconds", "Seconds", Unit.COUNT, 1, 3600),
                new Measure("speed", "Speed", Unit.KM_PER_H, 0.5, 40),
                new Measure("width", "Width of spread", Unit.METRE, 0.5, 60)),
        SPRAYER_NOZZLE(
                "sprayer-nozzle",
                "Sprayer, one nozzle",
                Unit.L_PER_HA,
                Formula.of(
                        "Sprayer by the nozzle",
                        "caught / seconds * 3600 / (speed * 1000 * spacing) * 10000",
                        Source.fromMemory("the form GPA = 5940 GPM / (mph x inches) of nozzle makers, in metric units"),
                        "caught",
                        "seconds",
                        "speed",
                        "spacing"),
                new Measure("caught", "Caught from one nozzle", Unit.LITRE, 0.01, 50),
                new Measure("seconds", "Seconds", Unit.COUNT, 5, 600),
                new Measure("speed", "Speed", Unit.KM_PER_H, 1, 40),
                new Measure("spacing", "Nozzle spacing", Unit.METRE, 0.1, 3)),
        MANURE_SHEET(
                "manure-sheet",
                "Manure, on a sheet",
                Unit.T_PER_HA,
                Formula.of("Mass on a sheet", "caught / 1000 / sheet * 10000", ARITHMETIC, "caught", "sheet"),
                new Measure("caught", "On the sheet", Unit.KILOGRAM, 0.01, 500),
                new Measure("sheet", "Area of the sheet", Unit.SQUARE_METRE, 0.2, 100)),
        PLANTER_ROW(
                "planter-row",
                "Planter, seeds in the row",
                Unit.PER_HA,
                Formula.of(
                        "Seeds along a row",
                        "seeds / length / row * 10000",
                        Source.identity("plants per length of row over the row's width"),
                        "seeds",
                        "length",
                        "row"),
                new Measure("seeds", "Seeds counted", Unit.COUNT, 1, 10_000),
                new Measure("length", "Length of row", Unit.METRE, 0.2, 200),
                new Measure("row", "Row width", Unit.METRE, 0.05, 5));

        private final String id;
        private final String words;
        private final Unit delivers;
        private final Formula formula;
        private final List<Measure> measures;

        Kind(String id, String words, Unit delivers, Formula formula, Measure... measures) {
            this.id = id;
            this.words = words;
            this.delivers = delivers;
            this.formula = formula;
            this.measures = List.copyOf(Arrays.asList(measures));
        }

        public String id() {
            return id;
        }

        public String words() {
            return words;
        }

        /** In which unit it delivers. */
        public Unit delivers() {
            return delivers;
        }

        /** What it computes, in the units of its measures, by their symbols. */
        public String expression() {
            return formula.expression();
        }

        public List<Measure> measures() {
            return measures;
        }

        public static Optional<Kind> of(String id) {
            return Arrays.stream(values()).filter(k -> k.id.equals(id)).findFirst();
        }
    }

    /** A catch of before: the machine's setting and what came, in the unit its kind delivers. */
    public record Caught(double setting, double delivered) {}

    /**
     * What a test says.
     *
     * @param changePercent by how much more, or less, it must deliver; empty without a target
     * @param nextSetting to try next; empty without a target and a setting
     * @param wantedCatch what must be caught or counted in the same test, in the unit of the first measure; empty without a
     *     target
     */
    public record Result(
            Figure delivered,
            Optional<Double> changePercent,
            Optional<Double> nextSetting,
            Optional<Double> wantedCatch) {}

    private Calibration() {}

    /**
     * Works a test out.
     *
     * @param measured by symbol, each of the dimension of its measure
     * @param setting the machine's setting in this test
     * @param past catches of the same machine with the same seed
     * @throws IllegalArgumentException when a measure is missing
     */
    public static Result of(
            Kind kind,
            Map<String, Quantity> measured,
            Optional<Double> setting,
            Optional<Quantity> target,
            List<Caught> past) {
        List<Input> inputs = new ArrayList<>();
        for (Measure m : kind.measures()) {
            Quantity q = Optional.ofNullable(measured.get(m.symbol()))
                    .orElseThrow(() -> new IllegalArgumentException(m.symbol()));
            double v = m.unit().dimension() == Dimension.COUNT ? q.value() : q.in(m.unit());
            inputs.add(Input.of(m.symbol(), m.name(), v, m.unit(), Origin.MEASURED, "catch test"));
        }
        Figure delivered = kind.formula.figure("calibration/" + kind.id(), "Delivered", kind.delivers(), inputs);
        Optional<Double> wanted = target.map(q -> q.in(kind.delivers()));
        Optional<Double> change = wanted.map(w -> (w / delivered.middle() - 1) * 100);
        Optional<Double> next = wanted.flatMap(w -> setting.flatMap(s -> {
            List<Caught> all = new ArrayList<>(past);
            all.add(new Caught(s, delivered.middle()));
            return nextSetting(all, w);
        }));
        Optional<Double> wantedCatch = wanted.map(w -> inputs.get(0).value().middle() * w / delivered.middle());
        return new Result(delivered, change, next, wantedCatch);
    }

    /**
     * The setting for a target from catches: between the two on either side of it along a line; beyond them in proportion to the
     * nearest, which is right for openings that start at nothing.
     */
    public static Optional<Double> nextSetting(List<Caught> catches, double target) {
        // the newest of several catches at one setting counts
        Map<Double, Double> newest = new LinkedHashMap<>();
        catches.forEach(c -> newest.put(c.setting(), c.delivered()));
        List<Caught> sorted = newest.entrySet().stream()
                .map(e -> new Caught(e.getKey(), e.getValue()))
                .filter(c -> c.delivered() > 0)
                .sorted(Comparator.comparingDouble(Caught::delivered))
                .toList();
        for (int i = 1; i < sorted.size(); i++) {
            Caught a = sorted.get(i - 1);
            Caught b = sorted.get(i);
            if (target >= a.delivered() && target <= b.delivered() && b.delivered() > a.delivered()) {
                double t = (target - a.delivered()) / (b.delivered() - a.delivered());
                return Optional.of(a.setting() + t * (b.setting() - a.setting()));
            }
        }
        return sorted.stream()
                .min(Comparator.comparingDouble(c -> Math.abs(c.delivered() - target)))
                .map(c -> c.setting() * target / c.delivered());
    }
}
