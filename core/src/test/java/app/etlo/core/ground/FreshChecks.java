package app.etlo.core.ground;

import static app.etlo.core.ground.Check.never;

import app.etlo.core.ground.GroundCourse.OfGround;
import java.util.List;
import java.util.stream.Stream;

/** Other species, places and dates than those of the rest; written down on 1 December 2026, before any was run. */
final class FreshChecks {
    private FreshChecks() {}

    private static List<Check> overWinter() {
        Trials.Grown rye = Trials.at(Trials.AT_40, "2025-08-01", "2026-07-15")
                .sow("cereal-rye", 220, "2025-10-01")
                .run();
        Trials.Grown vetch = Trials.at(Trials.AT_40, "2025-08-01", "2026-07-15")
                .sow("hairy-vetch", 70, "2025-09-10")
                .run();
        Trials.Grown triticale = Trials.north("2025-08-01", "2026-07-15")
                .sow("winter-triticale", 220, "2025-09-25")
                .run();
        Trials.Grown ryegrass = Trials.at(Trials.MILD, "2025-08-01", "2026-07-15")
                .sow("annual-ryegrass", 500, "2025-09-05")
                .run();
        Trials.Grown pea = Trials.at(Trials.AT_36, "2025-08-01", "2026-07-15")
                .sow("winter-pea", 70, "2025-10-01")
                .run();
        Trials.Grown subterranean = Trials.at(Trials.SOUTHERN, "2025-03-01", "2025-12-15")
                .sow("subterranean-clover", 200, "2025-04-20")
                .run();
        Trials.Grown berseem = Trials.at(Trials.WINTER_RAIN, "2025-09-01", "2026-06-15")
                .sow("berseem-clover", 400, "2025-10-20")
                .run();
        return List.of(
                never("rye sown 1 October at 40° N, 5 May", "t/ha", 3, 7.5, () -> rye.tHa(0, "2026-05-05")),
                never("rye sown 1 October at 40° N, C:N on 5 May", "", 20, 40, () -> rye.cn("2026-05-05")),
                never(
                        "hairy vetch sown 10 September at 40° N, 25 May",
                        "t/ha",
                        3.5,
                        7,
                        () -> vetch.tHa(0, "2026-05-25")),
                never(
                        "hairy vetch sown 10 September at 40° N, nitrogen in tops on 25 May",
                        "kg/ha",
                        110,
                        230,
                        () -> vetch.nitrogen(0, "2026-05-25")),
                never(
                        "winter triticale sown 25 September at 43° N, 25 May",
                        "t/ha",
                        4,
                        9.5,
                        () -> triticale.tHa(0, "2026-05-25")),
                never(
                        "annual ryegrass sown 5 September at 50° N, mild continental, 10 May",
                        "t/ha",
                        2.5,
                        7,
                        () -> ryegrass.tHa(0, "2026-05-10")),
                never("winter pea sown 1 October at 36° N, 25 April", "t/ha", 2.5, 6, () -> pea.tHa(0, "2026-04-25")),
                never(
                        "subterranean clover sown 20 April at 36° S, 1 October",
                        "t/ha",
                        1.5,
                        6,
                        () -> subterranean.tHa(0, "2025-10-01")),
                never(
                        "berseem clover sown 20 October at 38° N, winter rain, 15 April",
                        "t/ha",
                        2.5,
                        7,
                        () -> berseem.tHa(0, "2026-04-15")));
    }

    private static List<Check> inSummer() {
        Trials.Grown berseem = Trials.north("2025-03-01", "2025-12-15")
                .sow("berseem-clover", 400, "2025-04-25")
                .run();
        Trials.Grown cowpea = Trials.at(Trials.AT_36, "2025-04-01", "2025-12-15")
                .sow("cowpea", 25, "2025-06-01")
                .run();
        Trials.Grown sudan = Trials.at(Trials.AT_40, "2025-04-01", "2025-12-15")
                .sow("sorghum-sudangrass", 90, "2025-06-15")
                .run();
        Trials.Grown foxtail = Trials.at(Trials.STEPPE, "2025-04-01", "2025-12-15")
                .sow("foxtail-millet", 250, "2025-06-10")
                .run();
        Trials.Grown turnip = Trials.at(Trials.MARITIME, "2025-06-01", "2026-03-15")
                .sow("purple-top-turnip", 70, "2025-08-05")
                .run();
        Trials.Grown springOats = Trials.at(Trials.COLD, "2025-04-01", "2025-12-15")
                .sow("spring-oats", 250, "2025-05-05")
                .run();
        return List.of(
                never("berseem sown 25 April at 43° N, 20 July", "t/ha", 2, 6, () -> berseem.tHa(0, "2025-07-20")),
                never("cowpea sown 1 June at 36° N in 60 days", "t/ha", 2.5, 6, () -> cowpea.tHa(0, "2025-07-31")),
                never(
                        "sorghum-sudan sown 15 June at 40° N in 60 days",
                        "t/ha",
                        5,
                        11,
                        () -> sudan.tHa(0, "2025-08-14")),
                never(
                        "foxtail millet at 39° N, semi-arid, unwatered, in 65 days",
                        "t/ha",
                        1.5,
                        5.5,
                        () -> foxtail.tHa(0, "2025-08-14")),
                never(
                        "turnip sown 5 August at 52° N, maritime, tops in 80 days",
                        "t/ha",
                        2,
                        6,
                        () -> turnip.tHa(0, "2025-10-24")),
                never(
                        "oats sown 5 May at 47.6° N, cold continental, 10 July",
                        "t/ha",
                        3,
                        8,
                        () -> springOats.tHa(0, "2025-07-10")));
    }

    private static List<Check> behind() {
        Trials.Grown vetch = Trials.at(Trials.AT_40, "2024-08-01", "2025-09-15")
                .sow("hairy-vetch", 70, "2024-09-10")
                .kill("2025-05-15")
                .run();
        Trials.Grown bare = Trials.at(Trials.AT_40, "2024-08-01", "2025-09-15")
                .sow("hairy-vetch", 70, "2024-09-10")
                .kill("2024-09-25")
                .run();
        Trials.Grown barley = Trials.at(Trials.AT_40, "2024-08-01", "2025-12-15")
                .sowCrop("winter-barley", 280, "2024-09-25")
                .feed("2025-03-20", 80)
                .harvestAsUsual("winter-barley", "2025-06-20")
                .run();
        Trials.Grown canola = Trials.at(Trials.COLD, "2025-04-01", "2025-12-15")
                .sowCrop("spring-canola", 80, "2025-05-08")
                .feed("2025-05-08", 110)
                .run();
        Trials.Grown peas = Trials.at(Trials.COLD, "2025-04-01", "2025-12-15")
                .sowCrop("field-pea", 80, "2025-05-01")
                .run();
        Trials.Grown soybean = Trials.south("2025-04-01", "2025-12-15")
                .sowCrop("soybean", 32, "2025-05-10")
                .run();
        return List.of(
                never(
                        "mineral nitrogen to 60 cm five weeks after vetch is killed at 40° N, above ground without it",
                        "kg/ha",
                        40,
                        130,
                        () -> vetch.mineralTo60cm("2025-06-19") - bare.mineralTo60cm("2025-06-19")),
                never(
                        "cover by residue of winter barley at 40° N, untilled, ten weeks after harvest",
                        "%",
                        50,
                        92,
                        () -> 100 * barley.middle(OfGround.RESIDUE_COVER, "2025-08-29")),
                never(
                        "spring canola at 47.6° N, cold continental, with 110 kg N, 5 August",
                        "t/ha",
                        6,
                        12,
                        () -> canola.tHa(0, "2025-08-05")),
                never(
                        "field pea at 47.6° N, cold continental, 25 July",
                        "t/ha",
                        4,
                        9.5,
                        () -> peas.tHa(0, "2025-07-25")),
                never("soybean at 33° N, 10 September", "t/ha", 5.5, 11, () -> soybean.tHa(0, "2025-09-10")));
    }

    static List<Check> all() {
        return Stream.of(overWinter(), inSummer(), behind())
                .flatMap(List::stream)
                .toList();
    }
}
