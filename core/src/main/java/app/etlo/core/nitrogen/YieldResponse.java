package app.etlo.core.nitrogen;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.apache.commons.math3.fitting.PolynomialCurveFitter;
import org.apache.commons.math3.fitting.WeightedObservedPoints;
import org.apache.commons.math3.optim.MaxEval;
import org.apache.commons.math3.optim.nonlinear.scalar.GoalType;
import org.apache.commons.math3.optim.univariate.BrentOptimizer;
import org.apache.commons.math3.optim.univariate.SearchInterval;
import org.apache.commons.math3.optim.univariate.UnivariateObjectiveFunction;
import org.apache.commons.math3.stat.regression.SimpleRegression;

/**
 * Yield against nitrogen as it was tried, and the rate that pays best. Over several sites the mean response is taken, not the mean of
 * the sites' best rates. A quadratic overstates; one that ends in a plateau says less: both are fitted by least squares.
 *
 * @param sites that the mean is of
 * @param mostKgHa highest rate tried
 * @param quadratic kg/ha; empty where the response does not bend
 * @param plateau kg/ha; empty likewise
 */
public record YieldResponse(int sites, double mostKgHa, Optional<Fit> quadratic, Optional<Fit> plateau) {
    /** Fewer rates do not show a bend. */
    public static final int LEAST_RATES = 4;

    private static final Source OPTIMUM =
            Source.identity("the rate at which one more kilogram of nitrogen earns its price");
    private static final Formula QUADRATIC = Formula.of(
                    "Rate that pays best, quadratic",
                    "min(max((price - b) / (2 * c), 0), most)",
                    OPTIMUM,
                    "price",
                    "b",
                    "c",
                    "most")
            .remarking("a quadratic overstates the best rate; never above the highest rate tried");
    private static final Formula PLATEAU = Formula.of(
                    "Rate that pays best, quadratic with plateau",
                    "min(max(joint + price / (2 * c), 0), most)",
                    OPTIMUM,
                    "joint",
                    "price",
                    "c",
                    "most")
            .remarking("never above the highest rate tried");

    /**
     * A yield at a rate on a site.
     *
     * @param site any name; one when blank
     */
    public record Tried(String site, double rateKgHa, double yieldKgHa) {}

    /**
     * A curve: yield is {@code a + b rate + c rate^2}, to {@code joint} where it has a plateau.
     *
     * @param joint rate from which it is flat, kg/ha; that of the quadratic's top without a plateau
     */
    public record Fit(double b, double c, double joint, boolean hasPlateau) {
        /**
         * The rate that pays best.
         *
         * @param ratio price of a kg of nitrogen over that of a kg of grain
         */
        Figure best(String id, double ratio, double most) {
            Input price = Input.of(
                    "price", "Price of nitrogen over that of grain", ratio, Unit.FRACTION, Origin.ENTERED, "feed step");
            Input curve = Input.of("c", "Curve c", c, Unit.FRACTION, Origin.MEASURED, "rates tried");
            Input limit = Input.of("most", "Highest rate tried", most, Unit.KG_PER_HA, Origin.MEASURED, "rates tried");
            return hasPlateau
                    ? PLATEAU.figure(
                            id,
                            "Rate that pays best",
                            Unit.KG_PER_HA,
                            Input.of("joint", "Plateau from", joint, Unit.KG_PER_HA, Origin.MEASURED, "rates tried"),
                            price,
                            curve,
                            limit)
                    : QUADRATIC.figure(
                            id,
                            "Rate that pays best",
                            Unit.KG_PER_HA,
                            price,
                            Input.of("b", "Curve b", b, Unit.FRACTION, Origin.MEASURED, "rates tried"),
                            curve,
                            limit);
        }
    }

    /** Empty with fewer than {@link #LEAST_RATES} rates. */
    public static Optional<YieldResponse> of(List<Tried> tried) {
        Map<Double, Double> mean = tried.stream()
                .collect(Collectors.groupingBy(
                        Tried::rateKgHa, TreeMap::new, Collectors.averagingDouble(Tried::yieldKgHa)));
        if (mean.size() < LEAST_RATES) {
            return Optional.empty();
        }
        double most = mean.keySet().stream().mapToDouble(r -> r).max().orElseThrow();
        return Optional.of(new YieldResponse(
                (int) tried.stream().map(Tried::site).distinct().count(), most, quadratic(mean), plateau(mean, most)));
    }

    private static Optional<Fit> quadratic(Map<Double, Double> mean) {
        WeightedObservedPoints points = new WeightedObservedPoints();
        mean.forEach(points::add);
        double[] k = PolynomialCurveFitter.create(2).fit(points.toList());
        return k[2] < 0 ? Optional.of(new Fit(k[1], k[2], -k[1] / (2 * k[2]), false)) : Optional.empty();
    }

    /** For a given joint the curve is a line in {@code (min(rate, joint) - joint)^2}: the joint with the smallest error is searched. */
    private static Optional<Fit> plateau(Map<Double, Double> mean, double most) {
        double second = mean.keySet().stream().skip(1).findFirst().orElseThrow();
        double joint = new BrentOptimizer(1e-9, 1e-9)
                .optimize(
                        new MaxEval(500),
                        GoalType.MINIMIZE,
                        new UnivariateObjectiveFunction(j -> line(mean, j).getSumSquaredErrors()),
                        new SearchInterval(second, most))
                .getPoint();
        double c = line(mean, joint).getSlope();
        return c < 0 ? Optional.of(new Fit(-2 * c * joint, c, joint, true)) : Optional.empty();
    }

    private static SimpleRegression line(Map<Double, Double> mean, double joint) {
        SimpleRegression line = new SimpleRegression();
        mean.forEach((rate, y) -> line.addData(Math.pow(Math.min(rate, joint) - joint, 2), y));
        return line;
    }
}
