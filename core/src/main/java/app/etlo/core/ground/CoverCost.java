package app.etlo.core.ground;

import app.etlo.core.quantity.Band;
import java.time.LocalDate;

/**
 * What a cover takes from the crop after it, against the same ground kept clean in its stead: simulated, over the weather years. Above
 * zero is lost to the crop.
 *
 * @param planted the next crop
 * @param waterMm less water that roots can draw on the evening before planting
 * @param withMm such water then, the middle of the years
 * @param young a day in the first weeks of the crop
 * @param nitrogenKgHa less nitrogen by then, in the mineral form to 60 cm and in the young crop together
 * @param freeKgHa such nitrogen behind the cover, the middle of the years
 * @param boundKgHa nitrogen that the residue holds then, more than without the cover, the middle of the years
 */
public record CoverCost(
        LocalDate planted,
        Band waterMm,
        double withMm,
        LocalDate young,
        Band nitrogenKgHa,
        double freeKgHa,
        double boundKgHa) {}
