package app.etlo.core.termination;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.termination.EndPlanned.Pass;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What must lie between the passes that end a cover, and between them, planting and stock: by practice, and by labels as typed. */
public final class EndGaps {
    /** A systemic herbicide needs so long to move before the plant is crushed (common practice: 24 hours). */
    private static final int SPRAY_TO_ROLL = 1;
    /** Grasses are dead so long before corn: seedling disease (common practice: 10 to 14 days). */
    private static final int GRASS_TO_CORN = 10;
    /** The crop is up soon after (common practice, and the widest of the published zones). */
    public static final int PLANTING_TO_END = 5;
    /** The gap that is too long where an end comes after planting. */
    public static final String AFTER_PLANTING = "planting-to-end";

    private EndGaps() {}

    /**
     * An interval of a label, as typed.
     *
     * @param crop it is to; any where empty
     */
    public record Label(String product, String event, Optional<String> crop, int days, Optional<Integer> mostDays) {}

    public static List<EndGap> of(EndPlanned p, List<Label> labels) {
        List<EndGap> found = new ArrayList<>();
        sprayedThenRolled(p, found);
        p.planting().ifPresent(planting -> toPlanting(p, planting, found));
        p.passes().forEach(pass -> ofLabels(p, pass, labels, found));
        return List.copyOf(found);
    }

    private static String name(Pass p) {
        return p.method().name().toLowerCase(Locale.ROOT);
    }

    private static void sprayedThenRolled(EndPlanned p, List<EndGap> found) {
        for (Pass sprayed : p.passes()) {
            for (Pass rolled : p.passes()) {
                if (sprayed.method().usesHerbicide()
                        && !sprayed.method().rolls()
                        && rolled.method().rolls()
                        && !rolled.on().isBefore(sprayed.on())) {
                    found.add(gap(
                            "spray-to-roll",
                            sprayed,
                            name(rolled),
                            rolled.on(),
                            SPRAY_TO_ROLL,
                            "a systemic herbicide must move in the plant before it is crushed"));
                }
            }
        }
    }

    private static EndGap gap(String id, Pass from, String to, LocalDate on, int least, String why) {
        return new EndGap(id, name(from), from.on(), to, on, Optional.of(least), Optional.empty(), why, false);
    }

    private static void toPlanting(EndPlanned p, EndPlanned.Planting planting, List<EndGap> found) {
        if (p.passes().isEmpty()) {
            return;
        }
        String sown = "planting of " + planting.crop().name().toLowerCase(Locale.ROOT);
        Pass last = p.passes().get(p.passes().size() - 1);
        p.passes().stream()
                .filter(x -> x.method().practice().gapDays() > 0)
                .forEach(x -> found.add(gap(
                        "mixed-in-to-planting",
                        x,
                        sown,
                        planting.on(),
                        x.method().practice().gapDays(),
                        "fresh green matter in the soil draws seedcorn maggot, feeds cutworm and ties up nitrogen")));
        boolean green = !last.on().isBefore(planting.on());
        if (!green && p.grass() && isCorn(planting.crop())) {
            found.add(gap(
                    "grass-to-corn",
                    last,
                    sown,
                    planting.on(),
                    GRASS_TO_CORN,
                    "seedling diseases live on a dying grass and pass to corn"));
        }
        if (last.on().isAfter(planting.on())) {
            found.add(new EndGap(
                    AFTER_PLANTING,
                    sown,
                    planting.on(),
                    name(last),
                    last.on(),
                    Optional.empty(),
                    Optional.of(PLANTING_TO_END),
                    "the cover is dead before the crop is up",
                    false));
        }
    }

    /** Days that usually lie between an end by some passes and the planting of a crop. */
    public static int daysToPlanting(List<TerminationMethod> passes, boolean grass, Crop crop) {
        int mixedIn =
                passes.stream().mapToInt(m -> m.practice().gapDays()).max().orElse(0);
        return Math.max(mixedIn, grass && isCorn(crop) ? GRASS_TO_CORN : 0);
    }

    /** Corn for grain, silage or the cob. */
    public static boolean isCorn(Crop c) {
        return c.id().endsWith("corn");
    }

    private static void ofLabels(EndPlanned p, Pass pass, List<Label> labels, List<EndGap> found) {
        labels.stream()
                .filter(l -> pass.product()
                        .filter(x -> x.equalsIgnoreCase(l.product()))
                        .isPresent())
                .forEach(l -> {
                    switch (l.event()) {
                        case "planting" ->
                            p.planting()
                                    .filter(x ->
                                            l.crop().map(x.crop().id()::equals).orElse(true))
                                    .filter(x -> !x.on().isBefore(pass.on()))
                                    .ifPresent(x -> found.add(label(
                                            l,
                                            pass,
                                            "planting of " + x.crop().name().toLowerCase(Locale.ROOT),
                                            x.on())));
                        case "rolling" ->
                            p.passes().stream()
                                    .filter(x -> x != pass && x.method().rolls() && !x.on().isBefore(pass.on()))
                                    .forEach(x -> found.add(label(l, pass, name(x), x.on())));
                        case "re-entry" -> entered(p, pass).forEach((what, on) -> found.add(label(l, pass, what, on)));
                        default ->
                            p.grazed().stream()
                                    .filter(d -> !d.isBefore(pass.on()))
                                    .forEach(d -> found.add(label(l, pass, l.event(), d)));
                    }
                });
    }

    /** What is done in the field on or after the day of a pass, and when. */
    private static Map<String, LocalDate> entered(EndPlanned p, Pass pass) {
        Map<String, LocalDate> found = new LinkedHashMap<>();
        p.passes().stream().filter(x -> x != pass).forEach(x -> found.put(name(x), x.on()));
        p.planting().ifPresent(x -> found.put("planting of " + x.crop().name().toLowerCase(Locale.ROOT), x.on()));
        p.grazed().forEach(d -> found.put("stock", d));
        found.values().removeIf(on -> on.isBefore(pass.on()));
        return found;
    }

    private static EndGap label(Label l, Pass pass, String to, LocalDate on) {
        return new EndGap(
                "label-" + l.event(),
                pass.product().orElseThrow(),
                pass.on(),
                to,
                on,
                Optional.of(l.days()),
                l.mostDays(),
                "its label, as typed here; the label in force decides",
                true);
    }
}
