package app.etlo.core.nitrogen;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.Group;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * When a crop is fed where the plan does not say: what is much in two parts, and a crop that stands over the winter mostly when it grows
 * again in spring (common practice).
 */
public final class UsualFeeding {
    /** Nitrogen above this is given in parts. */
    private static final double AT_ONCE_KG_HA = 60;
    /** A cereal or rape that stands longer has been sown for the winter. */
    private static final int OVER_WINTER_DAYS = 170;
    /** Days from growth in spring, and from the first node, to the harvest of a winter cereal. */
    private static final int SPRING_DAYS = 125;

    private static final int NODE_DAYS = 95;
    /** Days after planting at which a summer crop is fed beside the row. */
    private static final int SIDEDRESS_DAYS = 35;

    private static final Formula PART = Formula.of(
            "A part of the usual need", "need * part / 100", Source.commonPractice("split feeding"), "need", "part");

    private static final Formula LESS = Formula.of(
            "The usual need less what the crop before leaves",
            "max(need - left, 0)",
            Source.commonPractice("credits of grain legumes and others that leave nitrogen; by local rule"),
            "need",
            "left");

    private UsualFeeding() {}

    /**
     * A need less what the crop before usually leaves.
     *
     * @param from that crop, in words
     */
    public static Figure lessLeft(String prefix, Figure need, double leftKgHa, String from) {
        return LESS.figure(
                prefix + "/assumedNeed",
                "Assumed to be fed in all",
                Unit.KG_PER_HA,
                Input.figure("need", need, Unit.KG_PER_HA),
                Input.of("left", "Usually left by " + from, leftKgHa, Unit.KG_PER_HA, Origin.LIBRARY, "crop table"));
    }

    /**
     * One feeding.
     *
     * @param percent of the need
     */
    public record Part(LocalDate on, double percent) {
        public double kgHa(double needKgHa) {
            return needKgHa * percent / 100;
        }
    }

    /**
     * A feeding as it is shown.
     *
     * @param nitrogen kg/ha
     */
    public record Assumed(LocalDate on, Figure nitrogen) {}

    /**
     * All that a crop is taken to be fed.
     *
     * @param whole figures that lead to what is parted, besides the need that is shown anyway
     */
    public record Shown(List<Figure> whole, List<Assumed> parts) implements Figured {
        /** Nothing. */
        public static final Shown NONE = new Shown(List.of(), List.of());

        @Override
        public List<Figure> figures() {
            List<Figure> all = new ArrayList<>(whole);
            parts.forEach(p -> all.add(p.nitrogen()));
            return all;
        }
    }

    /** In time; none without a need. */
    public static List<Part> of(Crop crop, LocalDate planted, Optional<LocalDate> harvested, double needKgHa) {
        if (needKgHa <= 0) {
            return List.of();
        }
        boolean sownInAutumn = crop.group() == Group.COOL_GRASS || crop.group() == Group.BRASSICA;
        boolean overWinter = harvested
                .filter(h -> sownInAutumn && ChronoUnit.DAYS.between(planted, h) > OVER_WINTER_DAYS)
                .isPresent();
        if (overWinter) {
            LocalDate harvest = harvested.orElseThrow();
            LocalDate spring = harvest.minusDays(SPRING_DAYS);
            return needKgHa > AT_ONCE_KG_HA
                    ? List.of(new Part(planted, 20), new Part(spring, 40), new Part(harvest.minusDays(NODE_DAYS), 40))
                    : List.of(new Part(planted, 20), new Part(spring, 80));
        }
        return needKgHa > AT_ONCE_KG_HA
                ? List.of(new Part(planted, 50), new Part(planted.plusDays(SIDEDRESS_DAYS), 50))
                : List.of(new Part(planted, 100));
    }

    /** The same as figures, to be shown as assumed. */
    public static List<Assumed> shown(String prefix, List<Part> parts, Figure need) {
        return IntStream.range(0, parts.size())
                .mapToObj(i -> new Assumed(
                        parts.get(i).on(),
                        PART.figure(
                                prefix + "/assumed/" + (i + 1),
                                "Assumed to be fed on "
                                        + app.etlo.core.quantity.Shown.date(
                                                parts.get(i).on()),
                                Unit.KG_PER_HA,
                                Input.figure("need", need, Unit.KG_PER_HA),
                                Input.of(
                                        "part",
                                        "Part given then",
                                        parts.get(i).percent(),
                                        Unit.PERCENT,
                                        Origin.DEFAULT,
                                        "common practice"))))
                .toList();
    }
}
