package app.etlo.core.mix;

/**
 * In how many weather years a mix, sown and ended as planned, grows to a useful stand.
 *
 * @param reached those years
 * @param of so many
 */
public record UsefulYears(int reached, int of) {
    /** The least dry tops of a stand that is worth its seed, kg/ha. */
    public static final double USEFUL_KG_HA = 1000;

    private static final double MOST = 0.8;

    public static UsefulYears of(SeasonGrowth g) {
        return new UsefulYears(g.yearsReaching(USEFUL_KG_HA), g.years());
    }

    /** Whether 8 years in 10 do. */
    public boolean mostly() {
        return reached >= MOST * of;
    }
}
