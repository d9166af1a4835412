package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.weather.Percentiles;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * What a mix comes to in a season, as simulated, species by species in the order of the mix.
 *
 * @param leftToFrost whether its method of ending is to leave it to frost
 */
public record SeasonGrowth(List<Prospect> species, boolean leftToFrost) {

    /**
     * Whether winter is what ends it: it is left to frost, or nothing of it lives in most years. What counts then is the most it has
     * weighed; else what lives on the evening before its end.
     */
    public boolean byWinter() {
        return leftToFrost || aliveYears() * 2 < years();
    }

    /** In how many years anything of it lives on the evening before its end. */
    public int aliveYears() {
        return (int) IntStream.range(0, years())
                .filter(y -> species.stream().anyMatch(p -> p.standsKgHa()[y] > 0))
                .count();
    }

    /** Dry tops of one species that count when it ends, kg/ha by member. */
    public double[] massKgHa(int of) {
        return counted(species.get(of));
    }

    private double[] counted(Prospect p) {
        return byWinter() ? p.grownKgHa() : p.standsKgHa();
    }

    private double[] nitrogen(Prospect p) {
        return byWinter() ? p.grownNitrogenKgHa() : p.standsNitrogenKgHa();
    }

    /** Of all species, kg/ha by member. */
    public double[] massKgHa() {
        return sum(this::counted);
    }

    /** Nitrogen in the tops of all species that count, kg/ha by member. */
    public double[] nitrogenKgHa() {
        return sum(this::nitrogen);
    }

    private double[] sum(Function<Prospect, double[]> of) {
        double[] all = new double[species.isEmpty() ? 0 : species.get(0).years()];
        for (Prospect p : species) {
            double[] values = of.apply(p);
            for (int y = 0; y < all.length; y++) {
                all[y] += values[y];
            }
        }
        return all;
    }

    /** The most each year's species have weighed, together, kg/ha. */
    public double[] grownKgHa() {
        return sum(Prospect::grownKgHa);
    }

    /** In how many years all species together have weighed so much before the end, kg/ha. */
    public int yearsReaching(double kgHa) {
        return (int) DoubleStream.of(grownKgHa()).filter(v -> v >= kgHa).count();
    }

    /** Place of a species among them. */
    Optional<Integer> of(Species wanted) {
        return IntStream.range(0, species.size())
                .filter(i -> species.get(i).species().id().equals(wanted.id()))
                .boxed()
                .findFirst();
    }

    public int years() {
        return species.isEmpty() ? 0 : species.get(0).years();
    }

    /** Share of nitrogen in the dry tops, the middle of the years that have any, 0 to 1; 0 where none has. */
    public double nitrogenShare() {
        double[] mass = massKgHa();
        double[] n = nitrogenKgHa();
        double[] shares = IntStream.range(0, mass.length)
                .filter(y -> mass[y] > 0)
                .mapToDouble(y -> n[y] / mass[y])
                .toArray();
        return shares.length == 0 ? 0 : Percentiles.of(shares).at(0.5);
    }

    /** The species' shares of the whole, 0 to 1, each the middle of the years, scaled so that they sum to 1; all 0 where nothing grows. */
    public double[] shares() {
        double[] whole = massKgHa();
        double[] middle = new double[species.size()];
        double sum = 0;
        for (int i = 0; i < middle.length; i++) {
            double[] part = massKgHa(i);
            double[] shares = IntStream.range(0, whole.length)
                    .filter(y -> whole[y] > 0)
                    .mapToDouble(y -> part[y] / whole[y])
                    .toArray();
            middle[i] = shares.length == 0 ? 0 : Percentiles.of(shares).at(0.5);
            sum += middle[i];
        }
        for (int i = 0; i < middle.length && sum > 0; i++) {
            middle[i] /= sum;
        }
        return middle;
    }
}
