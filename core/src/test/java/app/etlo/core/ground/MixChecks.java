package app.etlo.core.ground;

import static app.etlo.core.ground.Check.never;
import static app.etlo.core.ground.Check.tuned;

import app.etlo.core.weather.Climate;
import java.util.List;

/** Species growing together: shares of the tops and C:N of the whole. */
final class MixChecks {
    private MixChecks() {}

    private static Trials.Grown ryeAndVetch(Climate climate, double rye, double vetch, String sown) {
        return Trials.at(climate, "2025-08-01", "2026-07-15")
                .sow("cereal-rye", rye, sown)
                .sow("hairy-vetch", vetch, sown)
                .run();
    }

    static List<Check> all() {
        Trials.Grown north = ryeAndVetch(Trials.NORTH, 110, 49, "2025-09-05");
        Trials.Grown thin = ryeAndVetch(Trials.NORTH, 75, 68, "2025-09-05");
        Trials.Grown at36 = ryeAndVetch(Trials.AT_36, 110, 49, "2025-10-01");
        Trials.Grown at40 = ryeAndVetch(Trials.AT_40, 75, 60, "2025-09-20");
        Trials.Grown crimson = Trials.at(Trials.AT_36, "2025-08-01", "2026-07-15")
                .sow("cereal-rye", 88, "2025-10-01")
                .sow("crimson-clover", 180, "2025-10-01")
                .run();
        // 26 kg of faba, 40 of pea, 24 of vetch and 18 of oats a hectare, as plants that come up
        Trials.Grown winterRain = Trials.at(Trials.WINTER_RAIN, "2025-10-01", "2026-06-15")
                .sow("faba-bean", 9, "2025-11-05")
                .sow("spring-pea", 16, "2025-11-05")
                .sow("common-vetch", 28, "2025-11-05")
                .sow("spring-oats", 40, "2025-11-05")
                .run();
        Trials.Grown pair = Trials.north("2025-08-01", "2026-07-15")
                .sow("spring-oats", 110, "2025-08-15")
                .sow("daikon-radish", 25, "2025-08-15")
                .run();
        Trials.Grown blackOats = Trials.at(Trials.SOUTHERN, "2025-03-01", "2025-12-15")
                .sow("black-oats", 90, "2025-04-20")
                .sow("hairy-vetch", 45, "2025-04-20")
                .run();
        Trials.Grown summer = Trials.south("2025-05-01", "2025-12-15")
                .sow("sorghum-sudangrass", 35, "2025-06-05")
                .sow("cowpea", 22, "2025-06-05")
                .run();
        return List.of(
                tuned(
                        "rye half and vetch seven tenths of full at 43° N, share of vetch on 26 May",
                        "",
                        0.15,
                        0.5,
                        () -> north.share(1, "2026-05-26")),
                tuned(
                        "rye half and vetch seven tenths of full at 43° N, C:N of the two",
                        "",
                        18,
                        34,
                        () -> north.cn("2026-05-26")),
                tuned(
                        "rye half and vetch seven tenths of full at 36° N, share of vetch on 15 April",
                        "",
                        0.25,
                        0.7,
                        () -> at36.share(1, "2026-04-15")),
                tuned(
                        "rye half and vetch seven tenths of full at 36° N, C:N of the two",
                        "",
                        14,
                        26,
                        () -> at36.cn("2026-04-15")),
                tuned(
                                "vetch 27 and rye 34 kg/ha at 43° N, share of vetch on 26 May",
                                "",
                                0.35,
                                0.7,
                                () -> thin.share(1, "2026-05-26"))
                        .from("Poffenbarger and others 2015, Agronomy Journal 107:2069, from memory"),
                never(
                        "rye and crimson clover at 36° N, share of clover on 15 April",
                        "",
                        0.2,
                        0.6,
                        () -> crimson.share(1, "2026-04-15")),
                never(
                        "rye a third and vetch at 40° N, share of vetch on 15 May",
                        "",
                        0.25,
                        0.7,
                        () -> at40.share(1, "2026-05-15")),
                never(
                        "faba, pea, vetch and oats at 38° N with winter rain, share of oats after 140 days",
                        "",
                        0.25,
                        0.55,
                        () -> winterRain.share(3, "2026-03-25")),
                never(
                        "faba, pea, vetch and oats at 38° N with winter rain, all tops",
                        "t/ha",
                        4,
                        8,
                        () -> winterRain.tHa(0, "2026-03-25")
                                + winterRain.tHa(1, "2026-03-25")
                                + winterRain.tHa(2, "2026-03-25")
                                + winterRain.tHa(3, "2026-03-25")),
                never(
                        "oats and radish at 43° N, share of radish in late October",
                        "",
                        0.3,
                        0.7,
                        () -> pair.share(1, "2025-10-28")),
                never(
                        "black oats and vetch at 36° S, share of vetch on 15 September",
                        "",
                        0.15,
                        0.6,
                        () -> blackOats.share(1, "2025-09-15")),
                never(
                        "sorghum-sudan a third and cowpea at 33° N, share of cowpea after 8 weeks",
                        "",
                        0.1,
                        0.5,
                        () -> summer.share(1, "2025-07-31")));
    }
}
