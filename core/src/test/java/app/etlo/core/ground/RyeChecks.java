package app.etlo.core.ground;

import static app.etlo.core.ground.Check.never;
import static app.etlo.core.ground.Check.tuned;

import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.weather.Climate;
import java.util.List;

/** Rye alone: mass and C:N by date in climates from cold to hot, stages, height and roots. */
final class RyeChecks {
    private RyeChecks() {}

    private static Trials.Grown rye(Climate climate, String sown, String to) {
        return Trials.at(climate, "2025-08-15", to).sow("cereal-rye", 220, sown).run();
    }

    /** Middle mass on the first record on which the middle height is reached, t/ha. */
    private static double massAtHeight(Trials.Grown g, double heightM) {
        for (int r = 0; r < g.course().recordedDays().length; r++) {
            if (GroundCourse.band(g.course().plant(r, 0, OfPlant.HEIGHT_M)).middle() >= heightM) {
                return GroundCourse.band(g.course().plant(r, 0, OfPlant.MASS_KG_HA))
                                .middle()
                        / 1000;
            }
        }
        return 0;
    }

    private static Trials.Grown afterBarley() {
        return Trials.north("2025-04-01", "2026-07-15")
                .sowCrop("spring-barley", 280, "2025-04-12")
                .feed("2025-04-12", 80)
                .harvest("2025-07-25", 0.48, 0.72)
                .sow("cereal-rye", 220, "2025-09-10")
                .run();
    }

    static List<Check> all() {
        Trials.Grown north = rye(Trials.NORTH, "2025-09-20", "2026-07-15");
        Trials.Grown early = rye(Trials.NORTH, "2025-09-15", "2026-07-15");
        Trials.Grown late = rye(Trials.NORTH, "2025-10-25", "2026-07-15");
        Trials.Grown at36 = rye(Trials.AT_36, "2025-10-15", "2026-07-15");
        Trials.Grown south = rye(Trials.SOUTH, "2025-10-15", "2026-07-15");
        Trials.Grown cold = rye(Trials.COLD, "2025-09-25", "2026-07-15");
        Trials.Grown mild = rye(Trials.MILD, "2025-09-25", "2026-07-15");
        Trials.Grown maritime = rye(Trials.MARITIME, "2025-09-25", "2026-07-15");
        Trials.Grown barley = afterBarley();
        Trials.Grown southern = Trials.at(Trials.SOUTHERN, "2025-03-01", "2025-12-15")
                .sow("cereal-rye", 220, "2025-04-15")
                .run();
        Trials.Grown again = Trials.at(Trials.station("tarrow-ridge", 1960), "1990-09-01", "1991-07-15")
                .sow("cereal-rye", 220, "1990-09-20")
                .run();
        return List.of(
                tuned(
                        "rye sown 20 September at 43° N, on 1 December",
                        "t/ha",
                        0.3,
                        1,
                        () -> north.tHa(0, "2025-12-01")),
                tuned("rye sown 20 September at 43° N, 15 April", "t/ha", 0.7, 2, () -> north.tHa(0, "2026-04-15")),
                tuned("rye sown 20 September at 43° N, 1 May", "t/ha", 1.8, 4, () -> north.tHa(0, "2026-05-01")),
                tuned("rye sown 20 September at 43° N, 15 May", "t/ha", 4, 7, () -> north.tHa(0, "2026-05-15")),
                tuned(
                        "rye sown 20 September at 43° N, at anthesis (26 May)",
                        "t/ha",
                        6.5,
                        10,
                        () -> north.tHa(0, "2026-05-26")),
                tuned(
                        "rye sown 20 September at 43° N, anthesis in days after 1 May",
                        "d",
                        14,
                        31,
                        () -> north.daysToStage(0, 1, "2026-05-01")),
                tuned("rye sown 20 September at 43° N, C:N on 15 April", "", 11, 18, () -> north.cn(0, "2026-04-15")),
                tuned("rye sown 20 September at 43° N, C:N on 1 May", "", 15, 27, () -> north.cn(0, "2026-05-01")),
                tuned("rye sown 20 September at 43° N, C:N on 15 May", "", 25, 38, () -> north.cn(0, "2026-05-15")),
                tuned("rye sown 20 September at 43° N, C:N at anthesis", "", 35, 50, () -> north.cn(0, "2026-05-26")),
                tuned(
                        "rye sown 15 September at 43° N, when it is 20 cm high",
                        "t/ha",
                        0.7,
                        1.5,
                        () -> massAtHeight(early, 0.2)),
                tuned(
                        "rye sown 15 September at 43° N, depth of roots 39 days after sowing",
                        "m",
                        0.5,
                        0.7,
                        () -> early.middle(0, OfPlant.ROOT_M, "2025-10-24")),
                tuned(
                        "rye sown 15 September at 43° N, in December",
                        "m",
                        0.8,
                        1.2,
                        () -> early.middle(0, OfPlant.ROOT_M, "2025-12-05")),
                tuned("rye sown 25 October at 43° N, at anthesis", "t/ha", 3, 5, () -> late.tHa(0, "2026-05-27")),
                tuned(
                        "rye sown 10 September after spring barley at 43° N, C:N on 24 April",
                        "",
                        15,
                        25,
                        () -> barley.cn(1, "2026-04-24")),
                tuned("rye sown 15 October at 36° N, on 1 April", "t/ha", 2, 5, () -> at36.tHa(0, "2026-04-01")),
                tuned(
                        "rye sown 15 October at 36° N, at anthesis (24 April)",
                        "t/ha",
                        6,
                        10,
                        () -> at36.tHa(0, "2026-04-24")),
                tuned("rye sown 15 October at 36° N, C:N on 1 April", "", 15, 30, () -> at36.cn(0, "2026-04-01")),
                tuned("rye sown 15 October at 36° N, C:N at anthesis", "", 35, 50, () -> at36.cn(0, "2026-04-24")),
                tuned(
                        "rye sown 15 October at 33° N, at anthesis (16 April)",
                        "t/ha",
                        6,
                        9,
                        () -> south.tHa(0, "2026-04-16")),
                tuned(
                        "rye sown 25 September at 47.6° N, cold continental, 15 May",
                        "t/ha",
                        1,
                        2.5,
                        () -> cold.tHa(0, "2026-05-15")),
                never(
                        "rye at 33° N, anthesis in days after 1 April",
                        "d",
                        0,
                        30,
                        () -> south.daysToStage(0, 1, "2026-04-01")),
                never(
                        "rye sown 20 September at 43° N, other weather, at anthesis",
                        "t/ha",
                        6.5,
                        10.5,
                        () -> again.tHa(0, "1991-05-26")),
                never(
                        "rye sown 25 September at 50° N, mild continental, 1 May",
                        "t/ha",
                        2,
                        5,
                        () -> mild.tHa(0, "2026-05-01")),
                never(
                        "rye sown 25 September at 52° N, maritime, 15 April",
                        "t/ha",
                        1.2,
                        4,
                        () -> maritime.tHa(0, "2026-04-15")),
                never("rye sown 15 April at 36° S, 15 September", "t/ha", 3, 8, () -> southern.tHa(0, "2025-09-15")),
                never(
                        "rye sown 15 April at 36° S, C:N on 15 September",
                        "",
                        18,
                        42,
                        () -> southern.cn(0, "2025-09-15")));
    }
}
