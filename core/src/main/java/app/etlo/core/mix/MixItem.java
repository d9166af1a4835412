package app.etlo.core.mix;

import app.etlo.core.knowledge.Group;
import java.util.Map;

/**
 * A species as the mix programme sees it. Everything is per full single-species rate, linear around the forecast.
 *
 * @param cost money per ha
 * @param seedsM2 live seeds
 * @param kgHa pure live seed of a whole share, by the way it is sown
 * @param massKgHa dry tops when the mix ends
 * @param winterkilledKgHa of them, what winter kills in the middle of the years
 * @param aims what it delivers by aim, in the aim's unit
 * @param least share in which it is worth sowing at all
 * @param most share it may have
 * @param inStock share that the seed in stock is enough for
 */
public record MixItem(
        String species,
        Group group,
        boolean smallBox,
        double cost,
        double seedsM2,
        double kgHa,
        double massKgHa,
        double carbonKgHa,
        double nitrogenKgHa,
        double winterkilledKgHa,
        Map<String, Double> aims,
        double least,
        double most,
        double inStock) {}
