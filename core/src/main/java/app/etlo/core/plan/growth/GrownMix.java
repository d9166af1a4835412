package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.SprayEscape;
import app.etlo.core.mix.Prospect;
import app.etlo.core.mix.SeasonGrowth;
import java.util.List;
import java.util.stream.IntStream;

/** What the species of a mix have come to on one evening of a run. */
final class GrownMix {
    private GrownMix() {}

    /**
     * @param plants of the run, in the order of the species
     * @param leftToFrost whether the mix is left to frost
     */
    static SeasonGrowth on(
            GroundCourse course, int record, List<Integer> plants, List<Species> species, boolean leftToFrost) {
        List<Prospect> grown = IntStream.range(0, plants.size())
                .mapToObj(i -> new Prospect(
                        species.get(i),
                        course.plant(record, plants.get(i), OfPlant.MASS_KG_HA),
                        course.plant(record, plants.get(i), OfPlant.PEAK_KG_HA),
                        course.plant(record, plants.get(i), OfPlant.NITROGEN_KG_HA),
                        course.plant(record, plants.get(i), OfPlant.PEAK_NITROGEN_KG_HA),
                        course.plant(record, plants.get(i), OfPlant.REACHED_STAGE),
                        course.plant(record, plants.get(i), OfPlant.BLOOM_DAYS),
                        escapes(course, record, plants.get(i))))
                .toList();
        return new SeasonGrowth(grown, leftToFrost);
    }

    private static double[] escapes(GroundCourse course, int record, int plant) {
        return IntStream.range(0, course.members())
                .mapToDouble(m -> SprayEscape.times(
                        course.plant(record, plant, OfPlant.HEIGHT_M, m),
                        course.ground(record, OfGround.RECENT_AIR_C, m)))
                .toArray();
    }
}
