package app.etlo.core.ground;

import static app.etlo.core.ground.Check.never;
import static app.etlo.core.ground.Check.tuned;

import java.util.List;

/** Legumes alone: mass and nitrogen. */
final class LegumeChecks {
    private LegumeChecks() {}

    private static Trials.Grown frostSeeded() {
        return Trials.north("2024-09-01", "2026-07-15")
                .sowCrop("winter-wheat", 300, "2024-09-28")
                .feed("2025-04-10", 100)
                .harvest("2025-07-20", 0.45, 0.75)
                .sow(Trials.plant("red-clover"), 120, "2025-03-15", true)
                .run();
    }

    static List<Check> all() {
        Trials.Grown vetch = Trials.north("2025-08-01", "2026-07-15")
                .sow("hairy-vetch", 70, "2025-08-25")
                .run();
        Trials.Grown clover = frostSeeded();
        Trials.Grown crimson36 = Trials.at(Trials.AT_36, "2025-08-01", "2026-07-15")
                .sow("crimson-clover", 300, "2025-09-20")
                .run();
        Trials.Grown crimson33 = Trials.south("2025-09-01", "2026-07-15")
                .sow("crimson-clover", 300, "2025-09-25")
                .run();
        Trials.Grown vetch36 = Trials.at(Trials.AT_36, "2025-08-01", "2026-07-15")
                .sow("hairy-vetch", 70, "2025-09-25")
                .run();
        Trials.Grown faba = Trials.at(Trials.WINTER_RAIN, "2025-10-01", "2026-06-15")
                .sow("faba-bean", 25, "2025-11-05")
                .run();
        Trials.Grown pea = Trials.at(Trials.WINTER_RAIN, "2025-10-01", "2026-06-15")
                .sow("spring-pea", 80, "2025-11-05")
                .run();
        Trials.Grown vetchSouthern = Trials.at(Trials.SOUTHERN, "2025-03-01", "2025-12-15")
                .sow("hairy-vetch", 70, "2025-04-20")
                .run();
        return List.of(
                tuned("hairy vetch at 43° N, early bloom", "t/ha", 4, 6, () -> vetch.tHa(0, "2026-06-02")),
                tuned(
                        "hairy vetch at 43° N, nitrogen in tops",
                        "kg/ha",
                        130,
                        200,
                        () -> vetch.nitrogen(0, "2026-06-02")),
                tuned(
                        "red clover frost-seeded into wheat at 43° N, in October",
                        "t/ha",
                        1.5,
                        3,
                        () -> clover.tHa(1, "2025-10-20")),
                tuned(
                        "red clover frost-seeded into wheat at 43° N, nitrogen at season's end",
                        "kg/ha",
                        60,
                        95,
                        () -> clover.nitrogen(1, "2025-10-20")),
                tuned(
                        "red clover frost-seeded into wheat at 43° N, alive next spring",
                        "of years",
                        0.9,
                        1,
                        () -> clover.alive(1, "2026-05-01")),
                tuned(
                        "red clover frost-seeded into wheat at 43° N, 10 May",
                        "t/ha",
                        1,
                        2.5,
                        () -> clover.tHa(1, "2026-05-10")),
                tuned(
                        "red clover frost-seeded into wheat at 43° N, nitrogen in tops on 10 May",
                        "kg/ha",
                        40,
                        80,
                        () -> clover.nitrogen(1, "2026-05-10")),
                never(
                        "crimson clover sown 20 September at 36° N, in bloom",
                        "t/ha",
                        4,
                        6.5,
                        () -> crimson36.tHa(0, "2026-04-25")),
                never(
                        "crimson clover sown 20 September at 36° N, nitrogen in tops",
                        "kg/ha",
                        70,
                        160,
                        () -> crimson36.nitrogen(0, "2026-04-25")),
                never("crimson clover at 33° N, in bloom", "t/ha", 3, 8, () -> crimson33.tHa(0, "2026-04-15")),
                never(
                        "hairy vetch sown 25 September at 36° N, 25 April",
                        "t/ha",
                        3,
                        6.5,
                        () -> vetch36.tHa(0, "2026-04-25")),
                never("faba bean alone at 38° N, winter rain, 140 days", "t/ha", 4, 7, () -> faba.tHa(0, "2026-03-25")),
                never("pea alone at 38° N, winter rain, 140 days", "t/ha", 3, 7, () -> pea.tHa(0, "2026-03-25")),
                never(
                        "hairy vetch sown 20 April at 36° S, 1 October",
                        "t/ha",
                        2,
                        5.5,
                        () -> vetchSouthern.tHa(0, "2025-10-01")));
    }
}
