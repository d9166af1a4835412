package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import java.util.List;
import java.util.stream.IntStream;

/** What a young crop has of nitrogen. */
public final class EarlyNitrogen {
    private EarlyNitrogen() {}

    /** Mineral to 60 cm on a record's day in a weather year, kg/ha. */
    public static double mineralKgHa(GroundCourse c, int record, int member) {
        return c.ground(record, OfGround.MINERAL_N_1, member)
                + c.ground(record, OfGround.MINERAL_N_2, member)
                + c.ground(record, OfGround.MINERAL_N_3, member);
    }

    /** Mineral to 60 cm and in the crop's tops on a record's day, kg/ha, by weather year. */
    public static double[] freeKgHa(GroundCourse c, int record, List<Integer> crop) {
        double[] inCrop = c.sum(record, crop, OfPlant.NITROGEN_KG_HA);
        return IntStream.range(0, c.members())
                .mapToDouble(m -> inCrop[m] + mineralKgHa(c, record, m))
                .toArray();
    }
}
