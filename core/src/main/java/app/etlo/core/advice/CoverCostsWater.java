package app.etlo.core.advice;

import app.etlo.core.ground.CoverCost;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** The cover leaves the soil drier for the next crop than it would be without it. */
final class CoverCostsWater extends Judgement {
    /** Less is made up by one rain. */
    private static final double MUCH_MM = 20;
    /** In 1 year of 10, where the middle is less. */
    private static final double MUCH_IN_A_DRY_YEAR_MM = 40;

    CoverCostsWater() {
        super(
                "cover-costs-water",
                Weight.THINK,
                Step.END,
                "on the evening before planting the roots of the next crop find 20 mm less water than on the same ground without"
                        + " the cover, or 40 mm less in 1 year of 10",
                Source.own("the ground simulation, with and without the cover: docs/simulation.md"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.cost().stream()
                        .filter(k ->
                                k.waterMm().middle() >= MUCH_MM || k.waterMm().high() >= MUCH_IN_A_DRY_YEAR_MM)
                        .map(k -> note(
                                c.id(),
                                c.end().map(e -> e.date()),
                                words(s, c, k),
                                List.of("water at planting " + mm(s, k.withMm()) + ", "
                                        + mm(s, k.withMm() + k.waterMm().middle()) + " without the cover"),
                                "an end two to three weeks earlier, less of what draws late, or watering")));
    }

    private static String words(Situation s, Situation.Cover c, CoverCost k) {
        boolean usual = k.waterMm().middle() >= MUCH_MM;
        String crop = c.next()
                .map(n -> n.crop().name().toLowerCase(java.util.Locale.ROOT))
                .orElse("the next crop");
        String less = usual
                ? "about " + mm(s, k.waterMm().middle()) + " less water that roots can draw than without the cover"
                : "in 1 year of 10 " + mm(s, k.waterMm().high())
                        + " less water that roots can draw than without the cover, though little less in most";
        String most = usual && k.waterMm().high() > k.waterMm().middle() + 1
                ? ", in 1 year of 10 " + mm(s, k.waterMm().high()) + " less"
                : "";
        return "Before " + crop + " is planted on " + Shown.date(k.planted()) + " the soil holds " + less + most
                + ". Where rain does not make up for it, that is yield. Look at the soil and the forecast before the"
                + " planned end; in a dry spring end the cover earlier.";
    }

    private static String mm(Situation s, double mm) {
        return s.sayRound(mm, Unit.MILLIMETRE);
    }
}
