package app.etlo.core.advice;

import app.etlo.core.ground.WinterStand;
import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The cover goes into winter too small to hold the soil. */
final class ThinBeforeWinter extends Judgement {
    private static final double THIN = 0.25;
    /** Ground that leaves and residue cover so far is held (common practice: 30 % halves erosion, 60 % takes off most of it). */
    private static final double HELD = 0.6;

    ThinBeforeWinter() {
        super(
                "thin-before-winter",
                Weight.THINK,
                Step.SOW,
                "when the soil falls below 4 °C before winter the cover's leaves shade under a quarter of the ground, and leaves and"
                        + " residue together cover less than 60 %",
                Source.commonPractice("cover of the soil against erosion; the ground simulation"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.winter().stream()
                        .filter(w -> w.day().isAfter(s.asOf()) && w.living().middle() < THIN && w.covered() < HELD)
                        .map(w -> note(
                                c.id(),
                                Optional.of(w.day()),
                                words(w),
                                List.of("covered before winter " + percent(w.covered())),
                                "an earlier sowing, more seed, a faster species, or residue left lying")));
    }

    private static String words(WinterStand w) {
        return "When growth stops for the winter, about " + Shown.date(w.day()) + ", the cover shades "
                + percent(w.living().middle()) + " of the ground ("
                + Math.round(w.living().low() * 100) + " to "
                + percent(w.living().high()) + "); with residue " + percent(w.covered())
                + " is covered. That is little against rain and wind until spring, and little nitrogen is caught.";
    }

    private static String percent(double share) {
        return Math.round(share * 100) + " %";
    }
}
