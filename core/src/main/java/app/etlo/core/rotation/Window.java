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
import java.util.Optional;

/**
 * A span of the rotation in which a cover may stand: from the harvest of one cash crop to the planting of the next, or inside a
 * crop that still stands.
 *
 * @param id the two crops for a window between them; kind and crop for one inside
 * @param after id of the crop harvested, or of the crop it lies in
 * @param before id of the crop planted at its end
 * @param from first day a cover can be sown
 * @param to the day it must make way
 * @param sowUntil last day the kind allows sowing
 */
public record Window(
        String id,
        WindowKind kind,
        String after,
        Optional<String> before,
        LocalDate from,
        LocalDate to,
        LocalDate sowUntil,
        Figure days) {
    private static final Formula LENGTH = Formula.of(
            "Length of the window",
            "planting - harvest",
            Source.identity("the difference of two dates"),
            "planting",
            "harvest");
    private static final Formula READY = Formula.of(
            "Length of the window",
            "planting - harvest - turnaround",
            Source.identity("the difference of two dates, less the days until the drill can go"),
            "planting",
            "harvest",
            "turnaround");
    private static final Formula INSIDE = Formula.of(
            "Length of the window", "end - start", Source.identity("the difference of two dates"), "end", "start");

    /** The windows between the crops of a rotation, in time. Crops without both dates, or that overlap, make none. */
    public static List<Window> between(List<CropInTime> crops) {
        List<CropInTime> sorted = inOrder(crops);
        List<Window> windows = new ArrayList<>();
        for (int i = 0; i + 1 < sorted.size(); i++) {
            CropInTime after = sorted.get(i);
            CropInTime before = sorted.get(i + 1);
            LocalDate to = before.planted().orElseThrow();
            after.ready().filter(from -> from.isBefore(to)).ifPresent(from -> windows.add(between(after, before)));
        }
        return List.copyOf(windows);
    }

    static List<CropInTime> inOrder(List<CropInTime> crops) {
        return crops.stream()
                .filter(c -> c.planted().isPresent())
                .sorted(Comparator.comparing(c -> c.planted().orElseThrow()))
                .toList();
    }

    private static Window between(CropInTime after, CropInTime before) {
        LocalDate from = after.ready().orElseThrow();
        LocalDate to = before.planted().orElseThrow();
        return new Window(
                after.id() + "-" + before.id(),
                WindowKind.BETWEEN,
                after.id(),
                Optional.of(before.id()),
                from,
                to,
                to,
                length(after, before));
    }

    /** A window inside a crop. */
    static Window inside(
            WindowKind kind,
            CropInTime crop,
            Optional<CropInTime> next,
            LocalDate from,
            LocalDate sowUntil,
            LocalDate to) {
        String id = kind.id() + "-" + crop.id();
        Figure days = INSIDE.figure(
                "window/" + id + "/days",
                "Days in the window",
                Unit.DAY,
                Input.of("end", "End", to.toEpochDay(), Unit.DATE, Origin.ENTERED, "rotation"),
                Input.of("start", "First sowing", from.toEpochDay(), Unit.DATE, Origin.FORECAST, kind.words()));
        return new Window(id, kind, crop.id(), next.map(CropInTime::id), from, to, sowUntil, days);
    }

    private static Figure length(CropInTime after, CropInTime before) {
        Input planting = Input.of(
                "planting",
                "Planting",
                before.planted().orElseThrow().toEpochDay(),
                Unit.DATE,
                Origin.ENTERED,
                "rotation");
        Input harvest = Input.of(
                "harvest",
                "Harvest before it",
                after.harvested().orElseThrow().toEpochDay(),
                Unit.DATE,
                Origin.ENTERED,
                "rotation");
        String id = "window/" + before.id() + "/days";
        if (after.turnaroundDays() == 0) {
            return LENGTH.figure(id, "Days in the window", Unit.DAY, planting, harvest);
        }
        return READY.figure(
                id,
                "Days in the window",
                Unit.DAY,
                planting,
                harvest,
                Input.of(
                        "turnaround",
                        "Until the drill can go",
                        after.turnaroundDays(),
                        Unit.DAY,
                        Origin.ENTERED,
                        "rotation"));
    }

    /** Under which its figures stand: {@code window/<this>/}. */
    public String figures() {
        return "window/" + (kind == WindowKind.BETWEEN ? before.orElse(id) : id);
    }
}
