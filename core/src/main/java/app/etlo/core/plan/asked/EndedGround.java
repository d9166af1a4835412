package app.etlo.core.plan.asked;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.ModelError;
import app.etlo.core.ground.SeedZone;
import app.etlo.core.plan.asked.EndRows.Better;
import app.etlo.core.plan.asked.EndRows.Change;
import app.etlo.core.plan.asked.EndRows.Kind;
import app.etlo.core.plan.growth.EarlyNitrogen;
import app.etlo.core.plan.growth.EndBranches;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** The ground that a crop finds and lives on behind a cover that is ended on a day: one branch of the run a day. */
final class EndedGround {
    /** So long a branch is played after planting and end: ten weeks and a day. */
    private static final int PLAYED_ON = 71;

    private static final Kind MULCH = new Kind(
            "residue",
            "soil",
            "Mulch 30 days after planting, old residue in it",
            Unit.T_PER_HA,
            Better.MORE,
            Change.BY);
    private static final Kind PLANTER = new Kind(
            "planter",
            "soil",
            "Dry matter before the planter, dead and living",
            Unit.T_PER_HA,
            Better.NEITHER,
            Change.BY);
    /**
     * Early small-seeded broad-leaved weeds, which light and warmth of the surface wake: emergence falls exponentially with the mulch's
     * area (Teasdale and Mohler 2000, Weed Science 48:385), by some 75 % under 8 t/ha of rye (from memory). Large seeds and perennials
     * come through.
     */
    private static final Kind WEEDS = new Kind(
            "weeds",
            "soil",
            "Small-seeded weeds held back by mulch, 30 days after planting",
            Unit.PERCENT,
            Better.MORE,
            Change.TO);

    private static final double HELD_BY_RYE = 0.75;
    /** So much rye, lying, spreads over so many m2/m2 by the library's kind. */
    private static final double BY_SPREAD_M2_M2 = 4.2;

    private static final Kind WATER =
            new Kind("water", "soil", "Soil water at planting", Unit.MILLIMETRE, Better.MORE, Change.BY);
    private static final Kind DRY =
            new Kind("dry", "soil", "Years with a dry seed zone at planting", Unit.PERCENT, Better.LESS, Change.TO);
    private static final Kind WARMTH =
            new Kind("warmth", "soil", "Soil temperature at planting", Unit.CELSIUS, Better.MORE, Change.BY);

    private final EndBranches branches;
    private final String coverId;
    private final String cropId;
    private final LocalDate planted;
    private final EndBranches.Branch without;

    private EndedGround(EndBranches branches, String coverId, String cropId, LocalDate planted) {
        this.branches = branches;
        this.coverId = coverId;
        this.cropId = cropId;
        this.planted = planted;
        this.without = branches.without(planted, planted.plusDays(PLAYED_ON));
    }

    /** Empty where the weeks behind the planting are not simulated. */
    static Optional<EndedGround> of(EndBranches branches, String coverId, String cropId, LocalDate planted) {
        return branches.covers(planted) && branches.covers(planted.plusDays(PLAYED_ON))
                ? Optional.of(new EndedGround(branches, coverId, cropId, planted))
                : Optional.empty();
    }

    /** Tells what the ground comes to where the cover ends on a day. */
    void tell(LocalDate end, EndRows rows) {
        LocalDate last = end.isAfter(planted) ? end : planted;
        EndBranches.Branch g = branches.ended(end, planted, last.plusDays(PLAYED_ON + 1L));
        GroundCourse c = g.course();
        int at = g.before(planted);
        int monthOn = g.before(planted.plusDays(31));
        Band residue = known(c.ground(monthOn, OfGround.RESIDUE_KG_HA));
        rows.put(MULCH, end, new Band(residue.low() / 1000, residue.middle() / 1000, residue.high() / 1000));
        rows.put(PLANTER, end, inFront(c, at));
        rows.put(WEEDS, end, weedsHeld(c, monthOn));
        covered("cover0", "Leaves and residue cover, at planting", c, at, end, rows);
        covered("cover30", "Leaves and residue cover, 30 days later", c, monthOn, end, rows);
        covered("cover60", "Leaves and residue cover, 60 days later", c, g.before(planted.plusDays(61)), end, rows);
        rows.put(WATER, end, known(c.ground(at, OfGround.AVAILABLE_WATER_MM)));
        rows.put(DRY, end, Band.exactly(SeedZone.dryYearsPercent(c, at)));
        rows.put(WARMTH, end, GroundCourse.band(c.ground(at, OfGround.SOIL_C)));
        free(4, g, end, rows);
        free(10, g, end, rows);
    }

    private static Band known(double[] years) {
        return ModelError.widen(GroundCourse.band(years), ModelError.OF_GROUND);
    }

    /** What discs and row cleaners meet: residue and the tops that still live, t/ha. */
    private Band inFront(GroundCourse c, int at) {
        double[] living = c.sum(at, branches.alive().plants(coverId), OfPlant.MASS_KG_HA);
        Band b = known(IntStream.range(0, living.length)
                .mapToDouble(m -> living[m] + c.ground(at, OfGround.RESIDUE_KG_HA, m))
                .toArray());
        return new Band(b.low() / 1000, b.middle() / 1000, b.high() / 1000);
    }

    private static Band weedsHeld(GroundCourse c, int record) {
        Band spread = known(c.ground(record, OfGround.LYING_SPREAD));
        return new Band(held(spread.low()), held(spread.middle()), held(spread.high()));
    }

    private static double held(double spreadM2M2) {
        double perArea = -Math.log(1 - HELD_BY_RYE) / BY_SPREAD_M2_M2;
        return 100 * (1 - Math.exp(-perArea * Math.max(0, spreadM2M2)));
    }

    private static void covered(String id, String name, GroundCourse c, int record, LocalDate end, EndRows rows) {
        double[] residue = c.ground(record, OfGround.RESIDUE_COVER);
        double[] living = c.ground(record, OfGround.LIVING_COVER);
        Band b = known(IntStream.range(0, residue.length)
                .mapToDouble(m -> 100 * (1 - (1 - residue[m]) * (1 - living[m])))
                .toArray());
        rows.put(
                new Kind(id, "soil", name, Unit.PERCENT, Better.MORE, Change.TO),
                end,
                new Band(b.low(), b.middle(), Math.max(b.middle(), Math.min(100, b.high()))));
    }

    /** Nitrogen free in the soil and in the crop, less the same without the cover. */
    private void free(int weeks, EndBranches.Branch g, LocalDate end, EndRows rows) {
        LocalDate day = planted.plusDays(7L * weeks + 1);
        List<Integer> crop = branches.alive().plants(cropId);
        double[] with = EarlyNitrogen.freeKgHa(g.course(), g.before(day), crop);
        double[] bare = EarlyNitrogen.freeKgHa(without.course(), without.before(day), branches.plantsWithout(cropId));
        rows.put(
                new Kind(
                        "free" + weeks,
                        "crop",
                        "Nitrogen free " + weeks + " weeks after planting, against no cover",
                        Unit.KG_PER_HA,
                        Better.MORE,
                        Change.BY),
                end,
                GroundCourse.band(IntStream.range(0, with.length)
                        .mapToDouble(m -> with[m] - bare[m])
                        .toArray()));
    }
}
