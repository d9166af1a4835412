package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.StageSpread;
import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.weather.MiddleParts;
import app.etlo.core.weather.Percentiles;
import java.util.Arrays;
import java.util.stream.DoubleStream;

/**
 * What a species comes to in a season, alone or beside others, as the ground simulation grows it: one value a weather year. Every array
 * is by member.
 *
 * @param standsKgHa dry tops that live on the evening before the end, kg/ha; 0 where nothing of it does
 * @param grownKgHa the most its dry tops have weighed until then, also where frost ended it before
 * @param standsNitrogenKgHa nitrogen in what lives then
 * @param grownNitrogenKgHa nitrogen in it when it weighed most
 * @param stage it has come to: 0 at emergence, 1 at early bloom, 2 when ripe
 * @param bloomDays days since early bloom on which it lived
 * @param escapes times as many of its plants as usual that would escape a spray at the end
 */
public record Prospect(
        Species species,
        double[] standsKgHa,
        double[] grownKgHa,
        double[] standsNitrogenKgHa,
        double[] grownNitrogenKgHa,
        double[] stage,
        double[] bloomDays,
        double[] escapes) {
    /** Half way from early bloom to ripeness the first seed can grow (from memory; milk to dough stage). */
    public static final double VIABLE_SEED = 1.5;
    /** Carbon in dry matter; 42 to 45 % in published tables. */
    public static final double CARBON_SHARE = 0.43;

    public int years() {
        return grownKgHa.length;
    }

    /** Share of the years, 0 to 1, in which something of it lives at the end. */
    public double aliveShare() {
        return share(standsKgHa, 0);
    }

    /** Share of the years in which it comes up before the end. */
    public double emergesShare() {
        return share(grownKgHa, 0);
    }

    /** Share of the years in which it flowers before the end. */
    public double flowersShare() {
        return share(stage, 1);
    }

    /** Share of its plants that are far enough to be killed as flowering ones, over the years. */
    double farEnoughShare() {
        return Arrays.stream(stage)
                .map(s -> StageSpread.farEnough(s, StageSpread.half(species)))
                .average()
                .orElse(0);
    }

    /** The share of it that a way of ending kills at the end, over the years. */
    public double killed(TerminationMethod method) {
        return method.kills(species)
                .share(farEnoughShare(), Arrays.stream(escapes).average().orElse(1));
    }

    /** Share of the years in which it ripens seed that can grow before the end. */
    public double seedsShare() {
        return share(stage, VIABLE_SEED);
    }

    /** Whether what lives at its end is what counts of it: most years leave something of it alive. */
    boolean mostlyLives() {
        return aliveShare() >= 0.5;
    }

    /** Share of the years in which it has weighed so much, kg/ha. */
    double reaches(double kgHa) {
        return years() == 0
                ? 0
                : (double) Arrays.stream(grownKgHa).filter(v -> v >= kgHa).count() / years();
    }

    /** The middle share of nitrogen in its dry tops, 0 to 1, of the years in which there are any. */
    public double nitrogenShare() {
        return mostlyLives()
                ? MiddleParts.ratio(standsNitrogenKgHa, standsKgHa)
                : MiddleParts.ratio(grownNitrogenKgHa, grownKgHa);
    }

    /** C:N of its dry tops; 0 where there are none. */
    public double carbonToNitrogen() {
        double n = nitrogenShare();
        return n <= 0 ? 0 : CARBON_SHARE / n;
    }

    /** The middle of the days in flower, at most as long as the library says it flowers. */
    double middleBloomDays() {
        double[] held = DoubleStream.of(bloomDays)
                .map(d -> Math.min(d, species.use().bloomDays()))
                .toArray();
        return held.length == 0 ? 0 : Percentiles.of(held).at(0.5);
    }

    private static double share(double[] values, double above) {
        return values.length == 0
                ? 0
                : (double) Arrays.stream(values).filter(v -> v > above).count() / values.length;
    }
}
