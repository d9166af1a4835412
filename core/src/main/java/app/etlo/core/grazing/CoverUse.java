package app.etlo.core.grazing;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.List;

/**
 * A way to use a cover on the day it ends, and what it leaves there.
 *
 * @param fed dry matter that stock get, kg/ha
 * @param left dry matter that stays on the ground, kg/ha
 * @param nitrogenGone carried off the field, kg/ha
 * @param dry days on end without rain that it wants; none where weather does not decide
 * @param dryYearsOfTen in which so many come within {@link #WAIT_DAYS} days; not a number where none are wanted
 * @param mulch whether what stays holds weeds down until the crop closes
 */
public record CoverUse(
        Way way, Figure fed, Figure left, Figure nitrogenGone, int dry, double dryYearsOfTen, boolean mulch)
        implements Figured {
    /** How long a cut can wait for its weather before the stage has moved on. */
    public static final int WAIT_DAYS = 10;

    private static final double HAY_DRIES_MM = 4;

    /** What cutters leave standing, cm. */
    private static final double STUBBLE_CM = 10;

    private static final Source CUT = Source.commonPractice("cut at 8 to 12 cm; mass goes with height");
    private static final Source LOST = Source.commonPractice(
            "of what is cut, 15 to 25 % of the dry matter of hay and 5 to 15 % of wilted silage is lost before it is fed");
    private static final Source RETURNED =
            Source.commonPractice("75 to 90 % of the nitrogen that stock eat comes back, unevenly");

    /** In the order in which they are shown. */
    public enum Way {
        MULCH("mulch", "Left as mulch", 0, Band.exactly(0)),
        GRAZED("grazed", "Half grazed", 0, Band.exactly(0)),
        SILAGE("silage", "Cut and wilted for silage", 1, new Band(5, 10, 15)),
        HAY("hay", "Cut for hay", 3, new Band(15, 20, 25));

        private final String id;
        private final String words;
        private final int dryDays;
        private final Band lostPercent;

        Way(String id, String words, int dryDays, Band lostPercent) {
            this.id = id;
            this.words = words;
            this.dryDays = dryDays;
            this.lostPercent = lostPercent;
        }

        public String id() {
            return id;
        }

        public String words() {
            return words;
        }

        /** Days on end without rain between the cut and the store; 0 where weather does not decide. */
        public int dryDays() {
            return dryDays;
        }

        /** Reference evapotranspiration that each of them wants, mm: hay dries on days with over 4 (common practice). */
        public double dryingMm() {
            return this == HAY ? HAY_DRIES_MM : 0;
        }

        private boolean isCut() {
            return dryDays > 0;
        }
    }

    private static final double HALF = 50;
    private static final double RETURNED_PERCENT = 80;

    private static final Formula CUT_FED =
            Formula.of("Fed of a cut", "tops * share / 100 * (1 - lost / 100)", LOST, "tops", "share", "lost");
    private static final Formula GRAZED_FED =
            Formula.of("Eaten", "tops * share / 100", Source.identity("a share of what stands"), "tops", "share");
    private static final Formula LEFT = Formula.of(
            "Left", "tops - tops * share / 100", Source.identity("what is not taken stays"), "tops", "share");
    private static final Formula GONE = Formula.of(
            "Nitrogen carried off", "nitrogen * share / 100 * (1 - back / 100)", RETURNED, "nitrogen", "share", "back");

    /**
     * @param prefix of the figures' ids
     * @param tops dry, kg/ha
     * @param nitrogen in them, kg/ha
     * @param heightCm of the tallest, above zero
     * @param floorKgHa from which what is left counts as mulch
     */
    public static CoverUse of(
            String prefix,
            Way way,
            Figure tops,
            Figure nitrogen,
            double heightCm,
            double floorKgHa,
            double dryYearsOfTen) {
        String at = prefix + "/" + way.id();
        double taken = way.isCut() ? 100 * Math.max(0, 1 - STUBBLE_CM / heightCm) : way == Way.GRAZED ? HALF : 0;
        Input share = Input.of(
                "share",
                "Of the tops taken",
                taken,
                Unit.PERCENT,
                Origin.DEFAULT,
                way.isCut() ? CUT.text() : "taken for this comparison");
        Input all = Input.figure("tops", tops, Unit.KG_PER_HA);
        Figure left = LEFT.figure(at + "/left", "Dry tops left", Unit.KG_PER_HA, all, share);
        return new CoverUse(
                way,
                way.isCut()
                        ? CUT_FED.figure(
                                at + "/fed",
                                "Dry matter fed",
                                Unit.KG_PER_HA,
                                all,
                                share,
                                Input.banded(
                                        "lost",
                                        "Lost until it is fed",
                                        way.lostPercent,
                                        Unit.PERCENT,
                                        Origin.DEFAULT,
                                        LOST.text()))
                        : GRAZED_FED.figure(at + "/fed", "Dry matter fed", Unit.KG_PER_HA, all, share),
                left,
                GONE.figure(
                        at + "/nitrogenGone",
                        "Nitrogen carried off",
                        Unit.KG_PER_HA,
                        Input.figure("nitrogen", nitrogen, Unit.KG_PER_HA),
                        share,
                        Input.of(
                                "back",
                                "Of it that comes back",
                                way == Way.GRAZED ? RETURNED_PERCENT : 0,
                                Unit.PERCENT,
                                Origin.DEFAULT,
                                way == Way.GRAZED ? RETURNED.text() : "none without stock on the field")),
                way.dryDays(),
                dryYearsOfTen,
                left.middle() >= floorKgHa);
    }

    @Override
    public List<Figure> figures() {
        return List.of(fed, left, nitrogenGone);
    }
}
