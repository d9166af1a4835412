package app.etlo.core.knowledge;

import app.etlo.core.quantity.Band;
import app.etlo.core.working.Source;
import java.util.Optional;

/**
 * Crude protein and digestibility of the dry tops by stage. Small grains follow rye: leafy, in the boot, headed, flowered. Of species for which no figure is
 * known nothing is said.
 */
public final class ForageQuality {
    public static final Source SOURCE = Source.commonPractice(
            "crude protein and digestibility of rye, sunn hemp and sorghum-sudangrass by stage; a forage test decides");
    /** From here on rye is in the boot, and headed; it flowers at 1. */
    public static final double BOOT = 0.75;

    public static final double HEADED = 0.9;

    /**
     * @param stage in words
     * @param proteinPercent of the dry matter
     * @param digestiblePercent of the dry matter, from memory
     */
    public record Forage(String stage, Band proteinPercent, Band digestiblePercent) {}

    private ForageQuality() {}

    /**
     * Of a species at a stage.
     *
     * @param stage 0 at emergence, 1 at early bloom, 2 ripe
     * @param heightM of its plants
     */
    public static Optional<Forage> of(Species s, double stage, double heightM) {
        if (s.group() == Group.COOL_GRASS) {
            return Optional.of(
                    stage >= 1
                            ? new Forage("flowered", new Band(7, 8, 9), new Band(48, 52, 56))
                            : stage >= HEADED
                                    ? new Forage("headed", new Band(10, 11, 12), new Band(54, 58, 62))
                                    : stage >= BOOT
                                            ? new Forage("in the boot", new Band(14, 16, 18), new Band(62, 66, 70))
                                            : new Forage("leafy", new Band(20, 22, 25), new Band(70, 75, 80)));
        }
        if (s.id().equals("sunn-hemp") && stage < 1) {
            return Optional.of(new Forage("before bloom", new Band(18, 20, 22), new Band(58, 63, 68)));
        }
        return s.id().equals("sorghum-sudangrass") && heightM >= 0.6 && heightM <= 0.9
                ? Optional.of(new Forage("at grazing height", new Band(12, 14, 16), new Band(58, 62, 66)))
                : Optional.empty();
    }
}
