package app.etlo.core.rotation;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The time between the harvest of one cash crop and the planting of the next, in which a cover may stand.
 *
 * @param after id of the crop harvested
 * @param before id of the crop planted
 */
public record Window(String after, String before, LocalDate from, LocalDate to, Figure days) {
    private static final Formula LENGTH = Formula.of(
            "Length of the window",
            "planting - harvest",
            Source.identity("the difference of two dates"),
            "planting",
            "harvest");

    /** The windows of a rotation, in time. Crops without both dates, or that overlap, make none. */
    public static List<Window> between(List<CropInTime> crops) {
        List<CropInTime> sorted = crops.stream()
                .filter(c -> c.planted().isPresent())
                .sorted(Comparator.comparing(c -> c.planted().orElseThrow()))
                .toList();
        List<Window> windows = new ArrayList<>();
        for (int i = 0; i + 1 < sorted.size(); i++) {
            CropInTime after = sorted.get(i);
            CropInTime before = sorted.get(i + 1);
            LocalDate to = before.planted().orElseThrow();
            after.harvested()
                    .filter(from -> from.isBefore(to))
                    .ifPresent(from ->
                            windows.add(new Window(after.id(), before.id(), from, to, length(before.id(), from, to))));
        }
        return List.copyOf(windows);
    }

    private static Figure length(String before, LocalDate from, LocalDate to) {
        return LENGTH.figure(
                "window/" + before + "/days",
                "Days in the window",
                Unit.DAY,
                Input.of("planting", "Planting", to.toEpochDay(), Unit.DATE, Origin.ENTERED, "rotation"),
                Input.of("harvest", "Harvest before it", from.toEpochDay(), Unit.DATE, Origin.ENTERED, "rotation"));
    }
}
