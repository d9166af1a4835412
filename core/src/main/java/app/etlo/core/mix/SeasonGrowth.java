package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.weather.MiddleParts;
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
        return MiddleParts.whole(species.stream().map(of).toArray(double[][]::new));
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
        return MiddleParts.ratio(nitrogenKgHa(), massKgHa());
    }

    /** The species' shares of the whole, 0 to 1, each the middle of the years, scaled so that they sum to 1; all 0 where nothing grows. */
    public double[] shares() {
        return MiddleParts.shares(species.stream().map(this::counted).toArray(double[][]::new));
    }
}
