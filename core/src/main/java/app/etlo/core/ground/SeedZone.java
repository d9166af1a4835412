package app.etlo.core.ground;

import app.etlo.core.ground.GroundCourse.OfGround;
import java.util.stream.IntStream;

/** The layer in which seed lies. */
public final class SeedZone {
    /** Dry when it holds less of what it can hold for plants; Etlo's own. */
    private static final double DRY = 0.5;

    private SeedZone() {}

    /** Years in which it is dry on a record's day, %. */
    public static double dryYearsPercent(GroundCourse c, int record) {
        return 100.0
                * IntStream.range(0, c.members())
                        .filter(m -> c.ground(record, OfGround.WATER_1, m) < DRY)
                        .count()
                / c.members();
    }
}
