package app.etlo.core.ground;

import static app.etlo.core.ground.Check.never;
import static app.etlo.core.ground.Check.tuned;

import app.etlo.core.field.Texture;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.weather.Climate;
import java.util.List;

/** Mineral nitrogen after covers, what is tied up, and nitrate lost over winter. */
final class NitrogenChecks {
    private NitrogenChecks() {}

    private static Trials corn(Climate climate, GroundSoil soil) {
        return Trials.at(climate, "2024-04-01", "2025-12-15")
                .on(soil)
                .sowCrop("grain-corn", 7.5, "2024-05-05")
                .feed("2024-05-05", 60)
                .feed("2024-06-10", 130)
                .harvestAsUsual("grain-corn", "2024-09-20");
    }

    /** Silage maize in a cool place, fed well, with what that leaves in autumn. */
    private static Trials maize(Climate climate, GroundSoil soil) {
        return Trials.at(climate, "2024-04-01", "2025-12-15")
                .on(soil)
                .sowCrop("silage-corn", 8, "2024-05-01")
                .feed("2024-05-01", 60)
                .feed("2024-06-10", 120)
                .harvestAsUsual("silage-corn", "2024-09-20");
    }

    private static double winter(Trials.Grown g) {
        return g.leached("2024-09-22", "2025-05-10");
    }

    /** Nitrogen that residue binds at its deepest, kg/ha: mineral nitrogen of ground without residue less that with it. */
    private static double deepestTieUp(Trials.Grown with, Trials.Grown without, String from, int weeks) {
        double most = 0;
        for (int w = 1; w <= weeks; w++) {
            String date = java.time.LocalDate.parse(from).plusDays(7L * w).toString();
            double gap = without.middle(OfGround.MINERAL_N_KG_HA, date) - with.middle(OfGround.MINERAL_N_KG_HA, date);
            double atStart =
                    without.middle(OfGround.MINERAL_N_KG_HA, from) - with.middle(OfGround.MINERAL_N_KG_HA, from);
            most = Math.max(most, gap - atStart);
        }
        return most;
    }

    static List<Check> all() {
        // fed, so that unsown ground would hold some 100 kg/ha
        Trials.Grown radish = Trials.north("2025-08-01", "2026-07-15")
                .feed("2025-08-14", 70)
                .sow("daikon-radish", 70, "2025-08-15")
                .run();
        GroundSoil silt = Trials.siltLoam();
        Trials.Grown bare = corn(Trials.AT_40, silt).run();
        Trials.Grown withRye =
                corn(Trials.AT_40, silt).sow("cereal-rye", 220, "2024-09-25").run();
        GroundSoil sandy = Trials.soil(Texture.SANDY_LOAM, 2.5, 1.5);
        Trials.Grown bareMaritime = maize(Trials.MARITIME, sandy).run();
        Trials.Grown ryeMaritime = maize(Trials.MARITIME, sandy)
                .sow("cereal-rye", 220, "2024-09-25")
                .run();
        Trials.Grown rye = Trials.north("2024-08-01", "2025-12-15")
                .sow("cereal-rye", 220, "2024-09-20")
                .kill("2025-05-24")
                .run();
        Trials.Grown none = Trials.north("2024-08-01", "2025-12-15").run();
        Trials.Grown fallow = Trials.north("2025-04-01", "2026-04-01").run();
        return List.of(
                tuned(
                        "mineral nitrogen to 60 cm on 1 May after winterkilled radish at 43° N",
                        "kg/ha",
                        30,
                        90,
                        () -> radish.mineralTo60cm("2026-05-01")),
                tuned("nitrate lost over the winter after corn at 40° N, bare", "kg/ha", 10, 50, () -> winter(bare)),
                tuned(
                        "nitrate lost over the winter after corn at 40° N, cut by rye",
                        "%",
                        30,
                        75,
                        () -> 100 * (1 - winter(withRye) / winter(bare))),
                tuned(
                        "nitrogen that rye killed at a C:N over 40 ties up at its deepest",
                        "kg/ha",
                        5,
                        25,
                        () -> deepestTieUp(rye, none, "2025-05-25", 12)),
                tuned(
                        "nitrogen freed from humus in a bare summer at 43° N, May to September",
                        "kg/ha",
                        60,
                        140,
                        () -> fallow.middle(OfGround.MINERAL_N_KG_HA, "2025-09-30")
                                - fallow.middle(OfGround.MINERAL_N_KG_HA, "2025-05-01")
                                + fallow.leached("2025-05-01", "2025-09-30")),
                never(
                        "nitrate lost over winter after silage maize at 52° N, maritime sandy loam, bare",
                        "kg/ha",
                        30,
                        90,
                        () -> winter(bareMaritime)),
                never(
                        "nitrate lost over winter after silage maize at 52° N, cut by rye",
                        "%",
                        40,
                        70,
                        () -> 100 * (1 - winter(ryeMaritime) / winter(bareMaritime))));
    }
}
