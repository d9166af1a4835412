package app.etlo.core.ground;

import static app.etlo.core.ground.Check.never;
import static app.etlo.core.ground.Check.tuned;

import app.etlo.core.weather.Climate;
import java.util.List;

/** Cash crops: tops, and what a cover that was killed leaves them. */
final class CropChecks {
    private CropChecks() {}

    private static Trials corn(Climate climate, String sown, String to) {
        String from = Integer.parseInt(to.substring(0, 4)) + "-04-01";
        return Trials.at(climate, from, to).sowCrop("grain-corn", 7.5, sown);
    }

    /** Corn behind rye burnt down three weeks ahead over corn on bare ground, tops. */
    private static double behindRye(Climate climate, String sown, String killed, String planted, String on) {
        Trials.Grown after = Trials.at(climate, "2024-08-01", "2025-12-15")
                .sow("cereal-rye", 220, sown)
                .end(killed, "burndown")
                .sowCrop("grain-corn", 7.5, planted)
                .feed(planted, 100)
                .feed("2025-06-10", 150)
                .water(planted, 7, 16, 25)
                .run();
        Trials.Grown bare = Trials.at(climate, "2024-08-01", "2025-12-15")
                .sowCrop("grain-corn", 7.5, planted)
                .feed(planted, 100)
                .feed("2025-06-10", 150)
                .water(planted, 7, 16, 25)
                .run();
        return after.tHa(1, on) / bare.tHa(0, on);
    }

    static List<Check> all() {
        Trials.Grown corn = corn(Trials.NORTH, "2025-05-05", "2025-12-15")
                .feed("2025-05-05", 100)
                .feed("2025-06-10", 150)
                .run();
        Trials.Grown usual = corn(Trials.NORTH, "2025-05-08", "2025-12-15")
                .feed("2025-06-10", 160)
                .run();
        Trials.Grown soybean = Trials.north("2025-04-01", "2025-12-15")
                .sowCrop("soybean", 32, "2025-05-15")
                .run();
        Trials.Grown dry = Trials.at(Trials.WINTER_RAIN, "2025-03-01", "2025-12-15")
                .sowCrop("grain-corn", 7.5, "2025-04-20")
                .feed("2025-04-20", 150)
                .run();
        Trials.Grown watered = Trials.at(Trials.WINTER_RAIN, "2025-03-01", "2025-12-15")
                .sowCrop("grain-corn", 7.5, "2025-04-20")
                .feed("2025-04-20", 100)
                .feed("2025-06-01", 150)
                .water("2025-05-10", 6, 18, 40)
                .run();
        Trials.Grown wheat = Trials.north("2024-09-01", "2025-12-15")
                .sowCrop("winter-wheat", 300, "2024-09-28")
                .feed("2025-04-10", 100)
                .run();
        Trials.Grown wheatMaritime = Trials.at(Trials.MARITIME, "2024-09-01", "2025-12-15")
                .sowCrop("winter-wheat", 300, "2024-10-05")
                .feed("2025-03-10", 60)
                .feed("2025-04-15", 120)
                .run();
        Trials.Grown barley = Trials.at(Trials.MARITIME, "2025-03-01", "2025-12-15")
                .sowCrop("spring-barley", 280, "2025-03-25")
                .feed("2025-03-25", 110)
                .run();
        Trials.Grown springWheat = Trials.at(Trials.COLD, "2025-04-01", "2025-12-15")
                .sowCrop("spring-wheat", 300, "2025-05-02")
                .feed("2025-05-02", 90)
                .run();
        Trials.Grown sorghum = Trials.at(Trials.STEPPE, "2025-04-01", "2025-12-15")
                .sowCrop("grain-sorghum", 12, "2025-05-25")
                .feed("2025-05-25", 90)
                .run();
        Trials.Grown southern = Trials.at(Trials.SOUTHERN, "2025-09-01", "2026-05-15")
                .sowCrop("grain-corn", 7.5, "2025-10-05")
                .feed("2025-10-05", 80)
                .feed("2025-11-10", 100)
                .run();
        Trials.Grown cotton = Trials.south("2025-04-01", "2025-12-15")
                .sowCrop("cotton", 9, "2025-05-05")
                .feed("2025-06-05", 90)
                .run();
        return List.of(
                tuned(
                        "corn at 43° N with ample nitrogen, dry tops in late September",
                        "t/ha",
                        16,
                        23,
                        () -> corn.tHa(0, "2025-09-25")),
                tuned(
                        "corn at 43° N with 160 kg N, dry tops in September",
                        "t/ha",
                        11,
                        20,
                        () -> usual.tHa(0, "2025-09-15")),
                tuned("soybean at 43° N, dry tops in mid September", "t/ha", 6, 10, () -> soybean.tHa(0, "2025-09-15")),
                tuned(
                        "corn behind rye burnt down three weeks ahead, water and nitrogen not lacking, 43° N, against bare ground",
                        "of its tops",
                        0.9,
                        1.1,
                        () -> behindRye(Trials.NORTH, "2024-09-20", "2025-04-20", "2025-05-12", "2025-09-20")),
                tuned(
                        "corn sown 20 April at 38° N, winter rain, unwatered",
                        "t/ha",
                        0.8,
                        7,
                        () -> dry.tHa(0, "2025-09-01")),
                tuned(
                        "spring barley at 52° N, maritime, with 110 kg N",
                        "t/ha",
                        8,
                        14,
                        () -> barley.tHa(0, "2025-07-15")),
                never(
                        "corn behind rye burnt down three weeks ahead at 36° N, against bare ground",
                        "of its tops",
                        0.9,
                        1.1,
                        () -> behindRye(Trials.AT_36, "2024-10-10", "2025-04-05", "2025-04-26", "2025-08-25")),
                never(
                        "corn sown 20 April at 38° N, winter rain, watered",
                        "t/ha",
                        14,
                        24,
                        () -> watered.tHa(0, "2025-09-01")),
                never(
                        "winter wheat at 43° N with 100 kg N, dry tops in mid June",
                        "t/ha",
                        8,
                        14,
                        () -> wheat.tHa(0, "2025-06-18")),
                never(
                        "winter wheat at 52° N, maritime, with 180 kg N, early July",
                        "t/ha",
                        11,
                        18,
                        () -> wheatMaritime.tHa(0, "2025-07-05")),
                never(
                        "spring wheat at 47.6° N, cold continental, with 90 kg N, 1 August",
                        "t/ha",
                        5,
                        11,
                        () -> springWheat.tHa(0, "2025-08-01")),
                never(
                        "sorghum at 39° N, semi-arid, unwatered, 20 September",
                        "t/ha",
                        2.5,
                        10,
                        () -> sorghum.tHa(0, "2025-09-20")),
                never("corn sown 5 October at 36° S, 1 March", "t/ha", 8, 20, () -> southern.tHa(0, "2026-03-01")),
                never("cotton at 33° N, 25 September", "t/ha", 5, 14, () -> cotton.tHa(0, "2025-09-25")));
    }
}
