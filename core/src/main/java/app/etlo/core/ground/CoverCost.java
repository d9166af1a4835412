package app.etlo.core.ground;

import app.etlo.core.quantity.Band;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;

/**
 * What a cover takes from the crop after it, against the same ground kept clean in its stead: simulated, over the weather years. Above
 * zero is lost to the crop.
 *
 * @param planted the next crop
 * @param waterMm less water that roots can draw on the evening before planting
 * @param withMm such water then, the middle of the years
 * @param early in the weeks when a young crop lives on what is free, in order
 * @param released out of the cover's tops and roots until a day, kg/ha; below zero they hold more than they brought
 */
public record CoverCost(LocalDate planted, Band waterMm, double withMm, List<Early> early, Released released) {
    public CoverCost {
        early = List.copyOf(early);
    }

    /**
     * Nitrogen on an evening of the crop's first weeks.
     *
     * @param week after planting
     * @param lessKgHa in the mineral form to 60 cm and in the young crop together, less than without the cover
     * @param freeKgHa such nitrogen behind the cover, the middle of the years
     * @param boundKgHa that the residue holds then, more than without the cover, the middle of the years
     */
    public record Early(int week, LocalDate evening, Band lessKgHa, double freeKgHa, double boundKgHa) {}

    /**
     * Nitrogen out of the cover's residue.
     *
     * @param from the evening before planting, or on which the cover ends where that is later
     * @param until twelve weeks after planting, or the day before harvest where that is sooner
     */
    public record Released(LocalDate from, LocalDate until, Band kgHa) {}

    /** When the crop is shortest. */
    public Early worst() {
        return early.stream()
                .max(Comparator.comparingDouble(e -> e.lessKgHa().middle()))
                .orElseThrow();
    }
}
