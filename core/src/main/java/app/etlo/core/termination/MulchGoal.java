package app.etlo.core.termination;

import app.etlo.core.working.Source;

/** How much a mulch must weigh, dry, to do what is wanted of it, kg/ha. */
public final class MulchGoal {
    /** Under it a mulch does not hold weeds until the crop closes. */
    public static final double FLOOR_KG_HA = 4500;

    public static final double AIM_KG_HA = 5600;
    public static final double IDEAL_KG_HA = 8000;
    public static final Source SOURCE = Source.commonPractice(
            "a mulch of 5,600 kg/ha at least, 8,000 or more ideal; under 4,500 it will not hold weeds to canopy");

    private MulchGoal() {}
}
