package app.etlo.core.weather;

/**
 * How dry the top of the soil must be for a kind of work, as a share of field capacity in the top 10 cm, and how much rain the
 * day itself bears. Etlo's own limits, in the order the trade gives them; workability limits in the literature lie between
 * 0.8 and 1.0 of field capacity for tillage.
 */
public enum Workability {
    SPRAY("spraying", 1.0, 1),
    DRILL("drilling", 0.92, 2),
    TILL("tilling", 0.86, 2),
    HEAVY("heavy harvest traffic", 0.82, 5);

    /** A centimetre of snow, as water. */
    private static final double SNOW_MM = 2;

    private final String words;
    private final double mostTopShare;
    private final double mostRainMm;

    Workability(String words, double mostTopShare, double mostRainMm) {
        this.words = words;
        this.mostTopShare = mostTopShare;
        this.mostRainMm = mostRainMm;
    }

    public String words() {
        return words;
    }

    public double mostTopShare() {
        return mostTopShare;
    }

    /** Whether a day can be worked: dry enough, little rain, no snow, the ground not frozen. */
    public boolean allows(double topShare, double rainMm, double snowMm, double soilC) {
        return topShare <= mostTopShare && rainMm <= mostRainMm && snowMm < SNOW_MM && soilC > 0.5;
    }
}
