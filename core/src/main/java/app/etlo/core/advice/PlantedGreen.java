package app.etlo.core.advice;

import app.etlo.core.advice.CoverJudgement.Said;
import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.TerminationMethod.Means;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.EndGaps;
import app.etlo.core.termination.Termination;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** A crop planted into a living cover: what that asks differs by crop. */
final class PlantedGreen {
    /** Beside the row or in the furrow, 30 to 50 lb/ac of nitrogen (common practice). */
    private static final double NEAR_ROW_KG_HA = 33;

    private static final Source PRACTICE = Source.commonPractice(
            "planting green into corn takes nitrogen beside the row and a scouting plan; beginners start with soybean");

    private PlantedGreen() {}

    static List<Judgement> rules() {
        return List.of(
                new CoverJudgement(
                        "planted-green-corn",
                        Weight.STOP,
                        "corn is planted into a living cover with under 33 kg/ha of nitrogen beside the row or in the furrow",
                        PRACTICE,
                        "medium",
                        PlantedGreen::corn),
                new CoverJudgement(
                        "planted-green",
                        Weight.THINK,
                        "a crop is planted into a living cover",
                        PRACTICE,
                        "medium",
                        PlantedGreen::any),
                new CoverJudgement(
                        "moves-the-crop",
                        Weight.STOP,
                        "tillage, undercutting or grazing ends a cover on or after the planting of the next crop",
                        Source.commonPractice("what moves the soil takes the seed with it"),
                        "high",
                        PlantedGreen::moved));
    }

    /** The crop, where it goes into what still lives. */
    private static Optional<CropInTime> green(Situation.Cover c) {
        Optional<LocalDate> end = c.end().filter(e -> !e.method().isWinter()).map(Termination::date);
        return c.next()
                .filter(n -> n.planted()
                        .filter(p -> end.filter(e -> !e.isBefore(p)).isPresent())
                        .isPresent());
    }

    private static Optional<Said> corn(Situation s, Situation.Cover c) {
        return green(c).filter(n -> EndGaps.isCorn(n.crop()) && c.facts().nearRowKgHa() < NEAR_ROW_KG_HA)
                .map(n -> new Said(
                        n.planted(),
                        n.crop().name() + " is planted green on " + day(n) + ", and "
                                + (c.facts().nearRowKgHa() > 0
                                        ? "only " + s.say(c.facts().nearRowKgHa(), Unit.KG_PER_HA)
                                                + " of nitrogen is fed"
                                        : "no nitrogen is fed")
                                + " beside the row or in the furrow within days of planting. Corn in a living or dying grass"
                                + " starves for nitrogen first: plan " + s.sayRound(33, Unit.KG_PER_HA) + " to "
                                + s.sayRound(56, Unit.KG_PER_HA)
                                + " there (step Feed, with its placement). Whoever is new to it starts with soybean.",
                        List.of(
                                "green " + n.planted().orElseThrow(),
                                "near row " + Math.round(c.facts().nearRowKgHa())),
                        "nitrogen beside the row at planting, or an end ten days or more before it"));
    }

    private static Optional<Said> any(Situation s, Situation.Cover c) {
        return green(c).map(n -> new Said(
                n.planted(),
                n.crop().name() + " is planted green on " + day(n) + ". " + asks(n.crop()) + dry(c)
                        + " Spray after the planter, not just before it; kill before the crop is up.",
                List.of("green " + n.planted().orElseThrow()),
                "an end before planting"));
    }

    private static String asks(Crop crop) {
        if (EndGaps.isCorn(crop)) {
            return "Walk it twice a week from emergence: armyworm, cutworm, slugs and seedling disease live on the dying grass.";
        }
        if (crop.id().equals("soybean")) {
            return "No gap for seedling disease is known to be needed; watch slugs, seedcorn maggot and whether the slot closes.";
        }
        return "Little is known of it ahead of " + crop.name().toLowerCase(Locale.ROOT)
                + ": try it on a strip first, and watch slugs, cold soil and nitrogen.";
    }

    private static String dry(Situation.Cover c) {
        return c.facts()
                .water()
                .filter(w -> w.dryYearsPercent() >= 10)
                .map(w -> " In " + Situation.yearsIn10(w.dryYearsPercent()) + " its seed zone is dry at planting.")
                .orElse("");
    }

    private static Optional<Said> moved(Situation s, Situation.Cover c) {
        return c.next()
                .flatMap(n -> n.planted()
                        .flatMap(p -> c.endings().stream()
                                .filter(e -> !e.date().isBefore(p)
                                        && (e.method().means().contains(Means.TILLING)
                                                || e.method().means().contains(Means.CUTTING_ROOTS)
                                                || e.method().grazes()))
                                .findFirst()
                                .map(e -> new Said(
                                        Optional.of(e.date()),
                                        e.method().name() + " on " + Shown.date(e.date()) + " comes after "
                                                + n.crop().name().toLowerCase(Locale.ROOT)
                                                + " is in: the crop would go with the cover.",
                                        List.of("end " + e.date(), "planting " + p),
                                        "an end before planting, or a way that leaves the soil alone"))));
    }

    private static String day(CropInTime n) {
        return Shown.date(n.planted().orElseThrow());
    }
}
