package app.etlo.core.plan.document;

/**
 * What computing a plan takes, known from the document alone: each plant that is sown, a crop or one species of a cover, lives its
 * own life in every weather year. Looked at when a plan comes in, so that one that cannot be computed is never saved, and again
 * before it is computed.
 */
public final class PlanCost {
    /**
     * Plants that can be sown in one plan. Eight years of a crop and a cover of fifteen species are 128. What the largest
     * plan within this bound takes in time and memory has not been measured; that of 128 has, see PlanCostTest.
     */
    public static final int MOST_PLANTS = 160;

    private PlanCost() {}

    /** Crops and species of covers that a plan sows in all. */
    public static int plants(PlanDocument plan) {
        return plan.crops().size()
                + plan.covers().stream()
                        .mapToInt(c -> c.mix().map(m -> m.components().size()).orElse(0))
                        .sum();
    }

    /**
     * Lets a plan through that can be computed.
     *
     * @throws Refused with the bound, and by how much it is passed
     */
    public static void require(PlanDocument plan) {
        int plants = plants(plan);
        if (plants > MOST_PLANTS) {
            throw new Refused(
                    "/covers",
                    "this plan sows " + plants + " crops and species of covers in all; at most " + MOST_PLANTS
                            + " can be computed together. Plan fewer years, or fewer species in a mix");
        }
    }
}
