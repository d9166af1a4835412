package app.etlo.core.advice;

import app.etlo.core.field.Residual;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What the adviser entered of a field that judgements look at.
 *
 * @param residuals herbicides that may still act
 * @param herbicidesSaid whether somebody said which were used, or that none was
 * @param noxious names that the law in force lists, as typed, lower case
 * @param history crops of the past
 * @param familyGapYears from one crop of a plant family to the next, as the farm sets it
 * @param experience of the farm with covers and no-till: beginner, intermediate or expert
 * @param hardPointsPercent share of the points of the field at which roots are hindered
 * @param spadeTests in time
 * @param certification conventional, organic or in transition
 */
public record FieldFacts(
        List<Weed> weeds,
        List<Residual> residuals,
        boolean herbicidesSaid,
        Optional<LocalDate> newestSoilTest,
        Optional<String> drainage,
        List<String> noxious,
        Optional<String> certification,
        List<Pest> pests,
        Optional<Double> panDepthCm,
        Optional<Double> penetrometerMPa,
        List<Grown> history,
        Map<String, Integer> familyGapYears,
        Optional<String> experience,
        Optional<Double> hardPointsPercent,
        List<SpadeTest> spadeTests,
        Optional<Double> ph) {

    public FieldFacts {
        weeds = List.copyOf(weeds);
        residuals = List.copyOf(residuals);
        noxious = List.copyOf(noxious);
        pests = List.copyOf(pests);
        history = List.copyOf(history);
        familyGapYears = Map.copyOf(familyGapYears);
        spadeTests = List.copyOf(spadeTests);
    }

    /**
     * A block of soil scored by hand.
     *
     * @param score of its layers, 1 friable to 5 compact, weighted by their thickness
     * @param worst score of a layer
     * @param worstFromCm where that layer begins
     * @param worstToCm where it ends
     */
    public record SpadeTest(LocalDate on, double score, double worst, double worstFromCm, double worstToCm) {}

    /**
     * A crop of the past that the library knows.
     *
     * @param id of the crop or species
     */
    public record Grown(int year, String id, String name, String family) {}

    /**
     * A pest or disease seen there.
     *
     * @param year when, where it was said
     */
    public record Pest(String name, Optional<Integer> year) {
        /** Whether this and a name of the library are of one kind: either holds the other, plurals aside. */
        boolean isLike(String other) {
            String mine = stem(name);
            String theirs = stem(other);
            return !mine.isEmpty() && (mine.contains(theirs) || theirs.contains(mine));
        }

        boolean isSlugs() {
            return stem(name).contains("slug");
        }

        /** Its year in a sentence. */
        String when() {
            return year.map(y -> " (" + y + ")").orElse("");
        }

        private static String stem(String text) {
            return text.strip().toLowerCase(Locale.ROOT).replaceAll("s$", "");
        }
    }

    /**
     * @param pressure low, medium or high
     */
    public record Weed(String name, String pressure, boolean perennial, boolean underControl) {}
}
