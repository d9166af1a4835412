package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import java.util.List;
import java.util.stream.IntStream;

/** What a young crop has of nitrogen. */
public final class EarlyNitrogen {
    private EarlyNitrogen() {}

    /** Mineral to 60 cm and in the crop's tops on a record's day, kg/ha, by weather year. */
    public static double[] freeKgHa(GroundCourse c, int record, List<Integer> crop) {
        double[] inCrop = c.sum(record, crop, OfPlant.NITROGEN_KG_HA);
        return IntStream.range(0, c.members())
                .mapToDouble(m -> inCrop[m]
                        + c.ground(record, OfGround.MINERAL_N_1, m)
                        + c.ground(record, OfGround.MINERAL_N_2, m)
                        + c.ground(record, OfGround.MINERAL_N_3, m))
                .toArray();
    }
}
