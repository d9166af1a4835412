package app.etlo.core.advice;

import app.etlo.core.ground.CoverCost;
import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.nitrogen.SupplyAndUptake;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Behind the cover the young crop finds less nitrogen than it would without it. */
final class NitrogenShortEarly extends Judgement {
    private static final double MUCH_KG_HA = 15;
    /** What is usually placed beside the row behind a cereal cover (common practice: 30 to 50 lb/ac). */
    private static final double LEAST_BESIDE_KG_HA = 33;

    private static final double MOST_BESIDE_KG_HA = 56;
    /** With more in reach no young crop is short, whatever bare ground would hold. */
    private static final double ENOUGH_KG_HA = 80;

    NitrogenShortEarly() {
        super(
                "nitrogen-short-early",
                Weight.THINK,
                Step.FEED,
                "two, four or six weeks after planting a crop that needs nitrogen has under 80 kg/ha of it in the top 60 cm and in its"
                        + " tops, 15 kg/ha less than on the same ground without the cover",
                Source.own("the ground simulation, with and without the cover: docs/simulation.md"),
                "medium");
    }

    /** Of a cover whose next crop will find much less. */
    static Optional<CoverCost> of(Situation.Cover c) {
        boolean needs = c.next()
                .flatMap(n -> n.crop().need())
                .filter(n -> n.value().middle() > 0)
                .isPresent();
        return c.cost()
                .filter(k -> needs
                        && k.worst().lessKgHa().middle() >= MUCH_KG_HA
                        && k.worst().freeKgHa() < ENOUGH_KG_HA);
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> of(c).filter(k -> !isPlaced(s, c)).stream()
                        .map(k -> note(
                                c.next().orElseThrow().id(),
                                Optional.of(k.planted()),
                                words(s, c.next().orElseThrow().id(), k),
                                List.of("short by "
                                        + kgHa(s, k.worst().lessKgHa().middle())),
                                "an earlier end, a legume in the mix, or nitrogen beside the row")));
    }

    private static String words(Situation s, String crop, CoverCost k) {
        double assumed = atPlanting(s, crop, k.planted());
        CoverCost.Early worst = k.worst();
        String bound = worst.boundKgHa() > MUCH_KG_HA
                ? " Its residue holds " + kgHa(s, worst.boundKgHa())
                        + " more than there would be without it, most of which comes free too late for this crop's start."
                : "";
        return weeks(k) + " after planting the young crop is shortest about " + Shown.date(worst.evening()) + ": "
                + kgHa(s, worst.freeKgHa()) + " of nitrogen in the top " + s.sayRound(60, Unit.CENTIMETRE)
                + " and in the crop, " + kgHa(s, worst.lessKgHa().middle()) + " less than without the cover." + bound
                + " Place " + kgHa(s, LEAST_BESIDE_KG_HA).replaceFirst(" .*", "") + " to "
                + kgHa(s, MOST_BESIDE_KG_HA)
                + " of nitrogen beside the row at planting, as part of its need and within local rules"
                + (assumed > 0
                        ? ": the simulation already takes it to be fed " + kgHa(s, assumed)
                                + " then, which nobody has planned."
                        : ".");
    }

    /** Whether the plan feeds it enough about its planting. */
    private static boolean isPlaced(Situation s, Situation.Cover c) {
        return c.next()
                .flatMap(n -> Optional.ofNullable(s.feed().get(n.id()))
                        .filter(f -> f.planned().isPresent())
                        .flatMap(f -> n.planted().map(d -> atPlanting(s, n.id(), d))))
                .filter(kg -> kg >= LEAST_BESIDE_KG_HA)
                .isPresent();
    }

    /** Fed by the end of the first week, planned or assumed, kg/ha. */
    private static double atPlanting(Situation s, String crop, LocalDate planted) {
        return Optional.ofNullable(s.feed().get(crop)).flatMap(FeedResult::supply).stream()
                .flatMap(x -> x.weeks().stream())
                .filter(w -> !w.on().isAfter(planted.plusDays(7)))
                .mapToDouble(SupplyAndUptake.Week::fedKgHa)
                .sum();
    }

    /** The weeks looked at. */
    private static String weeks(CoverCost k) {
        List<Integer> weeks = k.early().stream().map(CoverCost.Early::week).toList();
        return "Between week " + weeks.get(0) + " and week " + weeks.get(weeks.size() - 1);
    }

    private static String kgHa(Situation s, double kgHa) {
        return s.sayRound(kgHa, Unit.KG_PER_HA);
    }
}
