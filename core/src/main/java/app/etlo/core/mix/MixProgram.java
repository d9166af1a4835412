package app.etlo.core.mix;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;

/**
 * The choice of species and shares as a mixed integer linear programme: maximise {@code goal} over the columns within the
 * rows.
 *
 * <p>Columns, for n species: the share of each (0 to n-1), whether it is in (n to 2n-1, whole), the share of it from stock (2n
 * to 3n-1), which box is used when there is one (3n, whole), and for each aim, over the most of it, the first half of what is
 * delivered, what lies above it, and what is lost below zero ({@link AimUtility}).
 *
 * @param rows those with a name are wishes and may be loosened or dropped; the others tie the columns together
 */
public record MixProgram(List<MixItem> items, double[] goal, double[] upper, boolean[] whole, List<Row> rows) {
    /** Id of the wish for a ceiling of cost. */
    static final String COST = "cost";
    /** Cost breaks ties between mixes that serve alike. */
    private static final double TIE_PER_COST = 1e-6;
    /** More than this over the most of one species alone no mix delivers. */
    private static final double MOST_OF_AN_AIM = 2;

    /**
     * One line of the programme: {@code least <= sum of weight x column <= most}.
     *
     * @param wish its name and what is asked; empty for a row that ties columns together
     * @param looser the same a step less strict, to see what that buys
     */
    public record Row(Optional<Wish> wish, double[] weights, double least, double most, Optional<Row> looser) {
        static Row tie(double[] weights, double least, double most) {
            return new Row(Optional.empty(), weights, least, most, Optional.empty());
        }

        public double at(double[] columns) {
            double sum = 0;
            for (int i = 0; i < weights.length; i++) {
                sum += weights[i] * columns[i];
            }
            return sum;
        }
    }

    /**
     * @param id of the wish, with the aim, group or species it is about, e.g. {@code aim/mulch}
     * @param upper whether it is the upper end that is asked
     * @param bound as the adviser typed it
     */
    public record Wish(String id, String words, boolean upper, double bound) {}

    /**
     * The programme of a choice.
     *
     * @param weights of the aims, and with what each is divided to be comparable
     */
    public static MixProgram of(
            List<MixItem> items, Map<String, Double> weights, Map<String, Double> scale, MixWishes w) {
        return new Build(items, weights, scale, w).program();
    }

    public int columns() {
        return goal.length;
    }

    /** Money per ha of a solution, what comes from stock left out. */
    public double cost(double[] columns) {
        double sum = 0;
        for (int i = 0; i < items.size(); i++) {
            sum += items.get(i).cost() * (columns[i] - columns[2 * items.size() + i]);
        }
        return sum;
    }

    MixProgram with(List<Row> other) {
        return new MixProgram(items, goal, upper, whole, List.copyOf(other));
    }

    private static final class Build {
        private final List<MixItem> items;
        private final MixWishes w;
        private final int n;
        private final List<String> aims;
        private final Map<String, Double> weights;
        private final Map<String, Double> scale;
        private final List<Row> rows = new ArrayList<>();

        Build(List<MixItem> items, Map<String, Double> weights, Map<String, Double> scale, MixWishes w) {
            this.items = items;
            this.w = w;
            this.n = items.size();
            this.weights = weights;
            this.scale = scale;
            this.aims = w.cheapest() ? List.of() : List.copyOf(weights.keySet());
        }

        private int columns() {
            return 3 * n + 1 + 3 * aims.size();
        }

        /** The first of the three columns of an aim. */
        private int of(int aim) {
            return 3 * n + 1 + 3 * aim;
        }

        MixProgram program() {
            double[] upper = new double[columns()];
            boolean[] whole = new boolean[columns()];
            for (int i = 0; i < n; i++) {
                MixItem item = items.get(i);
                upper[i] = w.without().contains(item.species()) ? 0 : item.most();
                upper[n + i] = upper[i] > 0 ? 1 : 0;
                whole[n + i] = true;
                upper[2 * n + i] = w.stockFirst() ? Math.min(item.inStock(), upper[i]) : 0;
                tie(i);
            }
            upper[3 * n] = w.boxes() == 1 ? 1 : 0;
            whole[3 * n] = true;
            for (int k = 0; k < aims.size(); k++) {
                upper[of(k)] = AimUtility.HALF;
                upper[of(k) + 1] = MOST_OF_AN_AIM;
                upper[of(k) + 2] = MOST_OF_AN_AIM;
                delivered(k);
            }
            wishes();
            return new MixProgram(items, goal(), upper, whole, List.copyOf(rows));
        }

        private double[] goal() {
            double[] goal = new double[columns()];
            for (int i = 0; i < n; i++) {
                double cost = items.get(i).cost() * (w.cheapest() ? 1 : TIE_PER_COST);
                goal[i] = -cost;
                goal[2 * n + i] = cost;
            }
            for (int k = 0; k < aims.size(); k++) {
                double weight = weights.get(aims.get(k));
                goal[of(k)] = weight * AimUtility.FIRST;
                goal[of(k) + 1] = weight * AimUtility.SECOND;
                goal[of(k) + 2] = -weight * AimUtility.FIRST;
            }
            return goal;
        }

        /** The columns of an aim hold no more than the shares deliver. */
        private void delivered(int k) {
            double most = Math.max(1e-9, scale.getOrDefault(aims.get(k), 1.0));
            double[] row = shares(i -> i.aims().getOrDefault(aims.get(k), 0.0) / most);
            row[of(k)] = -1;
            row[of(k) + 1] = -1;
            row[of(k) + 2] = 1;
            rows.add(Row.tie(row, 0, Double.POSITIVE_INFINITY));
        }

        private void tie(int i) {
            MixItem item = items.get(i);
            double[] least = row();
            least[i] = 1;
            least[n + i] = -item.least();
            rows.add(Row.tie(least, 0, Double.POSITIVE_INFINITY));
            double[] most = row();
            most[i] = 1;
            most[n + i] = -item.most();
            rows.add(Row.tie(most, Double.NEGATIVE_INFINITY, 0));
            if (w.stockFirst() && item.inStock() > 0) {
                double[] stock = row();
                stock[i] = -1;
                stock[2 * n + i] = 1;
                rows.add(Row.tie(stock, Double.NEGATIVE_INFINITY, 0));
            }
            if (w.boxes() == 1) {
                double[] box = row();
                box[n + i] = 1;
                box[3 * n] = item.smallBox() ? 1 : -1;
                rows.add(Row.tie(box, Double.NEGATIVE_INFINITY, item.smallBox() ? 1 : 0));
            }
        }

        private void wishes() {
            wish("species", "number of species", w.species(), ins(i -> 1), 1);
            w.groups()
                    .forEach((g, least) -> wish(
                            "group/" + g.id(),
                            g.words() + " species",
                            Bounds.atLeast(least),
                            ins(i -> i.group() == g ? 1 : 0),
                            1));
            w.groupShares()
                    .forEach((g, b) -> wish(
                            "groupShare/" + g.id(),
                            "share of " + g.words(),
                            b,
                            shares(i -> i.group() == g ? 1 : 0),
                            0.1));
            w.speciesShares()
                    .forEach((s, b) -> wish(
                            "share/" + s,
                            "share of " + s.replace('-', ' '),
                            b,
                            shares(i -> i.species().equals(s) ? 1 : 0),
                            0.05));
            wish("total", "sum of the shares", w.totalShare(), shares(i -> 1), 0.1);
            wish("seeds", "live seeds per m2", w.seedsM2(), shares(MixItem::seedsM2), 50);
            w.cost()
                    .ifPresent(most ->
                            wish(COST, "seed cost per ha", Bounds.atMost(most), costs(), Math.max(1, 0.1 * most)));
            w.aims()
                    .forEach((aim, least) -> wish(
                            "aim/" + aim,
                            "least of " + AimDelivery.label(aim).toLowerCase(java.util.Locale.ROOT),
                            Bounds.atLeast(least),
                            shares(i -> i.aims().getOrDefault(aim, 0.0)),
                            0.1 * Math.abs(least)));
            wish("weight", "weight of live seed", w.seed().kgHa(), shares(MixItem::kgHa), 10);
            seedShares("ofSeeds", "of the live seeds", w.seed().ofSeeds(), MixItem::seedsM2, i -> true);
            seedShares("ofWeight", "of the weight", w.seed().ofWeight(), MixItem::kgHa, i -> true);
            w.seed()
                    .ofBox()
                    .forEach((s, b) -> seedShares(
                            "ofBox",
                            "of the weight in its box",
                            Map.of(s, b),
                            MixItem::kgHa,
                            i -> i.smallBox() == isSmall(s)));
            ratio("cn", "C:N at the end", w.carbonToNitrogen(), MixItem::carbonKgHa, MixItem::nitrogenKgHa, 1);
            ratio(
                    "legumes",
                    "legume share of the dry tops",
                    w.legumeShare(),
                    i -> i.group().isLegume() ? i.massKgHa() : 0,
                    MixItem::massKgHa,
                    0.05);
            ratio(
                    "winterkilled",
                    "winterkilled share of the dry tops",
                    w.winterkilledShare(),
                    MixItem::winterkilledKgHa,
                    MixItem::massKgHa,
                    0.05);
        }

        private boolean isSmall(String species) {
            return items.stream().anyMatch(i -> i.species().equals(species) && i.smallBox());
        }

        /** Of each species' own amount over that of all that are counted with it. */
        private void seedShares(
                String id,
                String words,
                Map<String, Bounds> bounds,
                ToDoubleFunction<MixItem> amount,
                Predicate<MixItem> counted) {
            bounds.forEach((s, b) -> ratio(
                    id + "/" + s,
                    s.replace('-', ' ') + " " + words,
                    b,
                    i -> i.species().equals(s) ? amount.applyAsDouble(i) : 0,
                    i -> counted.test(i) ? amount.applyAsDouble(i) : 0,
                    0.05));
        }

        private void wish(String id, String words, Bounds b, double[] weights, double step) {
            b.least().ifPresent(v -> rows.add(least(new Wish(id, words, false, v), weights, v, step)));
            b.most().ifPresent(v -> rows.add(most(new Wish(id, words, true, v), weights, v, step)));
        }

        private static Row least(Wish wish, double[] weights, double v, double step) {
            Row looser = Row.tie(weights, v - step, Double.POSITIVE_INFINITY);
            return new Row(Optional.of(wish), weights, v, Double.POSITIVE_INFINITY, Optional.of(looser));
        }

        private static Row most(Wish wish, double[] weights, double v, double step) {
            Row looser = Row.tie(weights, Double.NEGATIVE_INFINITY, v + step);
            return new Row(Optional.of(wish), weights, Double.NEGATIVE_INFINITY, v, Optional.of(looser));
        }

        /** over - bound x under, held above or below zero: linear, though the ratio is not. */
        private void ratio(
                String id,
                String words,
                Bounds b,
                ToDoubleFunction<MixItem> over,
                ToDoubleFunction<MixItem> under,
                double step) {
            b.least()
                    .ifPresent(v -> rows.add(new Row(
                            Optional.of(new Wish(id, words, false, v)),
                            difference(over, under, v),
                            0,
                            Double.POSITIVE_INFINITY,
                            Optional.of(Row.tie(difference(over, under, v - step), 0, Double.POSITIVE_INFINITY)))));
            b.most()
                    .ifPresent(v -> rows.add(new Row(
                            Optional.of(new Wish(id, words, true, v)),
                            difference(over, under, v),
                            Double.NEGATIVE_INFINITY,
                            0,
                            Optional.of(Row.tie(difference(over, under, v + step), Double.NEGATIVE_INFINITY, 0)))));
        }

        private double[] difference(ToDoubleFunction<MixItem> over, ToDoubleFunction<MixItem> under, double v) {
            return shares(i -> over.applyAsDouble(i) - v * under.applyAsDouble(i));
        }

        private double[] row() {
            return new double[columns()];
        }

        private double[] shares(ToDoubleFunction<MixItem> of) {
            double[] row = row();
            Arrays.setAll(row, k -> k < n ? of.applyAsDouble(items.get(k)) : 0);
            return row;
        }

        private double[] ins(ToDoubleFunction<MixItem> of) {
            double[] row = row();
            Arrays.setAll(row, k -> k >= n && k < 2 * n ? of.applyAsDouble(items.get(k - n)) : 0);
            return row;
        }

        private double[] costs() {
            double[] row = row();
            for (int i = 0; i < n; i++) {
                row[i] = items.get(i).cost();
                row[2 * n + i] = -items.get(i).cost();
            }
            return row;
        }
    }
}
