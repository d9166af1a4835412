package app.etlo.core.ground;

import static app.etlo.core.ground.Check.never;
import static app.etlo.core.ground.Check.tuned;

import app.etlo.core.weather.Climate;
import java.util.List;

/** Covers of six to ten weeks. */
final class FastChecks {
    private FastChecks() {}

    private static Trials.Grown one(Climate climate, String species, double plants, String sown) {
        return Trials.at(climate, "2025-04-01", "2025-12-15")
                .sow(species, plants, sown)
                .run();
    }

    static List<Check> all() {
        Climate n = Trials.NORTH;
        Trials.Grown buckwheat = one(n, "buckwheat", 180, "2025-06-15");
        Trials.Grown july = one(n, "buckwheat", 180, "2025-07-15");
        Trials.Grown mustard = one(Trials.MARITIME, "white-mustard", 110, "2025-08-15");
        Trials.Grown radish = one(n, "daikon-radish", 70, "2025-08-15");
        Trials.Grown radishLate = one(n, "daikon-radish", 70, "2025-09-25");
        Trials.Grown sunnHemp = one(Trials.SOUTH, "sunn-hemp", 90, "2025-06-10");
        Trials.Grown cowpea = one(Trials.SOUTH, "cowpea", 35, "2025-06-10");
        Trials.Grown sunnHempNorth = one(n, "sunn-hemp", 90, "2025-06-10");
        Trials.Grown sudan = Trials.at(Trials.STEPPE, "2025-04-01", "2025-12-15")
                .sow("sorghum-sudangrass", 110, "2025-06-05")
                .water("2025-06-06", 6, 10, 35)
                .run();
        Trials.Grown sudanNorth = one(n, "sorghum-sudangrass", 110, "2025-06-10");
        Trials.Grown phacelia = one(Trials.MARITIME, "phacelia", 300, "2025-08-10");
        Trials.Grown oats = one(n, "spring-oats", 220, "2025-08-10");
        Trials.Grown oatsInWinter = Trials.south("2025-08-01", "2026-07-15")
                .sow("spring-oats", 220, "2025-10-01")
                .run();
        Trials.Grown oatsInMildWinter = Trials.at(Trials.SOUTHERN, "2025-03-01", "2025-12-15")
                .sow("spring-oats", 220, "2025-04-20")
                .run();
        Trials.Grown sunnHempTropics = one(Trials.SUBTROPICS, "sunn-hemp", 90, "2025-05-25");
        Trials.Grown cowpeaTropics = one(Trials.SUBTROPICS, "cowpea", 35, "2025-05-25");
        Trials.Grown millet = one(Trials.SOUTH, "pearl-millet", 120, "2025-06-05");
        return List.of(
                tuned("buckwheat sown 15 June at 43° N in 7 weeks", "t/ha", 3, 5, () -> buckwheat.tHa(0, "2025-08-03")),
                tuned("buckwheat sown 15 July at 43° N in 6 weeks", "t/ha", 2, 4, () -> july.tHa(0, "2025-08-26")),
                tuned(
                        "buckwheat sown 15 July at 43° N in 6 weeks, days to first flower",
                        "d",
                        25,
                        38,
                        () -> july.daysToStage(0, 1, "2025-07-15")),
                tuned(
                        "buckwheat sown 15 July at 43° N in 6 weeks, C:N after 6 weeks",
                        "",
                        18,
                        30,
                        () -> july.cn(0, "2025-08-26")),
                tuned(
                        "white mustard sown 15 August at 52° N, 39 days",
                        "t/ha",
                        0.8,
                        2,
                        () -> mustard.tHa(0, "2025-09-23")),
                tuned(
                        "white mustard sown 15 August at 52° N, 60 days",
                        "t/ha",
                        2,
                        4,
                        () -> mustard.tHa(0, "2025-10-14")),
                tuned("radish sown 15 August at 43° N, before winter", "t/ha", 3, 6, () -> radish.tHa(0, "2025-11-05")),
                tuned("radish sown 25 September at 43° N", "t/ha", 0, 0.6, () -> radishLate.tHa(0, "2025-11-05")),
                tuned("sunn hemp at 33° N in 60 days", "t/ha", 5, 7, () -> sunnHemp.tHa(0, "2025-08-09")),
                tuned(
                        "sunn hemp at 33° N in 60 days, nitrogen in tops",
                        "kg/ha",
                        110,
                        135,
                        () -> sunnHemp.nitrogen(0, "2025-08-09")),
                tuned(
                        "cowpea at 33° N in 9 weeks, nitrogen in tops",
                        "kg/ha",
                        100,
                        135,
                        () -> cowpea.nitrogen(0, "2025-08-12")),
                tuned("oats sown 1 October at 33° N, 10 April", "t/ha", 4, 9, () -> oatsInWinter.tHa(0, "2026-04-10")),
                tuned(
                        "oats sown 20 April at 36° S, 10 September",
                        "t/ha",
                        3.5,
                        8,
                        () -> oatsInMildWinter.tHa(0, "2025-09-10")),
                never("sunn hemp at 43° N in 60 days", "t/ha", 3, 6, () -> sunnHempNorth.tHa(0, "2025-08-09")),
                never(
                        "sorghum-sudan watered at 39° N, semi-arid, in 60 days",
                        "t/ha",
                        4,
                        8,
                        () -> sudan.tHa(0, "2025-08-04")),
                never("sorghum-sudan at 43° N in 60 days", "t/ha", 4, 9, () -> sudanNorth.tHa(0, "2025-08-09")),
                never(
                        "phacelia sown 10 August at 52° N, maritime, in 65 days",
                        "t/ha",
                        1.5,
                        4,
                        () -> phacelia.tHa(0, "2025-10-14")),
                never("oats sown 10 August at 43° N, 25 October", "t/ha", 2, 5, () -> oats.tHa(0, "2025-10-25")),
                never("sunn hemp at 27° N in 60 days", "t/ha", 4, 8.5, () -> sunnHempTropics.tHa(0, "2025-07-24")),
                never("cowpea at 27° N in 60 days", "t/ha", 2.5, 6, () -> cowpeaTropics.tHa(0, "2025-07-24")),
                never("pearl millet at 33° N in 60 days", "t/ha", 4, 10, () -> millet.tHa(0, "2025-08-04")));
    }
}
