package app.etlo.core.advice;

import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A pan on record, and a cover that is to loosen it: roots or steel is disputed. */
final class PanRootsOrSteel extends Judgement {
    /** Resistance that hinders roots near field capacity (Duiker 2002). */
    private static final double HINDERS_MPA = 2;
    /** From so many points on it counts as a pan (Duiker 2002: some compaction). */
    private static final double MANY_PERCENT = 30;
    /** Steel goes so far below the layer (common practice, 3 to 5 cm). */
    private static final double BELOW_CM = 4;

    PanRootsOrSteel() {
        super(
                "pan-roots-or-steel",
                Weight.THINK,
                Step.AIMS,
                "a pan, a penetrometer reading of 2 MPa or more, or 30 % of points over it, is entered, and a cover is ranked to loosen it or holds a taproot",
                Source.commonPractice(
                        "2 MPa (300 psi) hinders roots: Duiker 2002, Penn State Agronomy Facts 63; loosening only where soil at depth"
                                + " crumbles, 3-5 cm below the layer; roots against steel is disputed"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        Optional<Double> pan = s.field().panDepthCm();
        boolean hard = s.field().penetrometerMPa().filter(p -> p >= HINDERS_MPA).isPresent()
                || s.field().hardPointsPercent().filter(p -> p >= MANY_PERCENT).isPresent();
        if (pan.isEmpty() && !hard) {
            return Stream.empty();
        }
        return s.covers().stream()
                .filter(c ->
                        c.use().aims().contains("loosen-pan") || !c.rootedM().isEmpty())
                .map(c -> note(
                        c.id(),
                        c.sown(),
                        words(s, c),
                        List.of("pan " + pan, "penetrometer " + s.field().penetrometerMPa()),
                        "a spade at the layer in moist and in dry soil, and the penetrometer again a year later"));
    }

    /** How many points of the field are hard (Duiker 2002). */
    private static String severe(double percent) {
        String word = percent < 30 ? "slight" : percent < 50 ? "some" : percent < 75 ? "moderate" : "severe";
        return " Over " + Said.of(HINDERS_MPA, Unit.MEGAPASCAL) + " at " + Math.round(percent) + " % of the points: "
                + word + " compaction.";
    }

    private static String words(Situation s, Situation.Cover c) {
        String layer = s.field()
                .panDepthCm()
                .map(cm -> "the pan at " + Said.of(cm, Unit.CENTIMETRE))
                .orElse("the hard layer");
        String measured = s.field()
                        .penetrometerMPa()
                        .map(p -> " Measured " + Said.of(p, Unit.MEGAPASCAL)
                                + (p >= HINDERS_MPA
                                        ? ""
                                        : ", under the " + Said.of(HINDERS_MPA, Unit.MEGAPASCAL)
                                                + " that hinders roots")
                                + "; dry soil reads too high.")
                        .orElse("")
                + s.field().hardPointsPercent().map(PanRootsOrSteel::severe).orElse("");
        String roots = c.rootedM().values().stream()
                .max(Double::compare)
                .map(m -> " In this season taproots reach " + Said.of(Math.round(m * 100), Unit.CENTIMETRE)
                        + " in 1 year of 10, deeper in few.")
                .orElse("");
        return "Roots or steel against " + layer + " is disputed." + measured + roots
                + " Roots find cracks and old channels in moist soil and need years; steel helps only where the soil at depth"
                + " crumbles, "
                + s.field()
                        .panDepthCm()
                        .map(cm -> "at " + Said.of(cm + BELOW_CM, Unit.CENTIMETRE))
                        .orElse("a little below the layer")
                + ", and only if roots hold it open afterwards. What decides: how dry the soil is at that depth, and whether"
                + " roots turn aside there.";
    }
}
