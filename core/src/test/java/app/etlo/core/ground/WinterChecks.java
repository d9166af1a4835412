package app.etlo.core.ground;

import static app.etlo.core.ground.Check.never;
import static app.etlo.core.ground.Check.tuned;

import app.etlo.core.weather.Climate;
import java.util.List;

/** Who lives through which winter. */
final class WinterChecks {
    private WinterChecks() {}

    private static Trials.Grown autumn(Climate climate, String species, double plants, String sown) {
        return Trials.at(climate, "2025-08-01", "2026-07-15")
                .sow(species, plants, sown)
                .run();
    }

    private static Check alive(
            String what,
            Climate climate,
            String species,
            double plants,
            String sown,
            String on,
            double low,
            double high) {
        Trials.Grown g = autumn(climate, species, plants, sown);
        return tuned(what, "of years", low, high, () -> g.alive(0, on));
    }

    private static Check springSown(String species, double plants) {
        Trials.Grown g = Trials.north("2025-04-01", "2026-07-15")
                .sow(species, plants, "2025-04-25")
                .run();
        return tuned(
                Trials.KNOWLEDGE.species().get(species).name() + " sown in spring at 43° N, alive next 1 May",
                "of years",
                0.85,
                1,
                () -> g.alive(0, "2026-05-01"));
    }

    static List<Check> all() {
        Climate n = Trials.NORTH;
        Trials.Grown radish = autumn(n, "daikon-radish", 70, "2025-08-15");
        Trials.Grown oats = autumn(n, "spring-oats", 220, "2025-08-20");
        Trials.Grown coldVetch = autumn(Trials.COLD, "hairy-vetch", 70, "2025-08-20");
        Trials.Grown coldRye = autumn(Trials.COLD, "cereal-rye", 220, "2025-09-15");
        Trials.Grown crimson40 = autumn(Trials.AT_40, "crimson-clover", 300, "2025-09-05");
        Trials.Grown crimson36 = autumn(Trials.AT_36, "crimson-clover", 300, "2025-09-15");
        Trials.Grown pea36 = autumn(Trials.AT_36, "winter-pea", 80, "2025-09-25");
        Trials.Grown radishSouth = autumn(Trials.SOUTH, "daikon-radish", 70, "2025-09-25");
        Trials.Grown barleyMaritime = autumn(Trials.MARITIME, "winter-barley", 250, "2025-09-25");
        Trials.Grown fabaMaritime = autumn(Trials.MARITIME, "faba-bean", 25, "2025-10-10");
        Trials.Grown oatsSouth = autumn(Trials.SOUTH, "black-oats", 220, "2025-10-01");
        return List.of(
                alive(
                        "cereal rye sown 10 September at 43° N, alive on 1 April",
                        n,
                        "cereal-rye",
                        220,
                        "2025-09-10",
                        "2026-04-01",
                        0.95,
                        1),
                alive(
                        "winter triticale sown 10 September at 43° N, alive on 1 April",
                        n,
                        "winter-triticale",
                        250,
                        "2025-09-10",
                        "2026-04-01",
                        0.95,
                        1),
                alive(
                        "winter wheat sown 10 September at 43° N, alive on 1 April",
                        n,
                        "winter-wheat",
                        250,
                        "2025-09-10",
                        "2026-04-01",
                        0.95,
                        1),
                alive(
                        "winter barley sown 10 September at 43° N, alive on 1 April",
                        n,
                        "winter-barley",
                        250,
                        "2025-09-10",
                        "2026-04-01",
                        0.4,
                        0.8),
                alive(
                        "crimson clover sown 25 August at 43° N, alive on 1 April",
                        n,
                        "crimson-clover",
                        300,
                        "2025-08-25",
                        "2026-04-01",
                        0,
                        0.3),
                alive(
                        "winter pea sown 10 September at 43° N, alive on 1 April",
                        n,
                        "winter-pea",
                        80,
                        "2025-09-10",
                        "2026-04-01",
                        0.2,
                        0.6),
                alive(
                        "hairy vetch sown 25 August at 43° N, alive on 1 April",
                        n,
                        "hairy-vetch",
                        70,
                        "2025-08-25",
                        "2026-04-01",
                        0.9,
                        1),
                alive(
                        "winter rape at 52° N, maritime, alive on 1 March",
                        Trials.MARITIME,
                        "winter-rape",
                        60,
                        "2025-08-25",
                        "2026-03-01",
                        0.9,
                        1),
                alive(
                        "winter rape at 50° N, mild continental, alive on 1 March",
                        Trials.MILD,
                        "winter-rape",
                        60,
                        "2025-08-25",
                        "2026-03-01",
                        0.9,
                        1),
                springSown("alfalfa", 250),
                springSown("white-clover", 250),
                springSown("sweetclover", 200),
                springSown("birdsfoot-trefoil", 250),
                tuned(
                        "radish sown 15 August at 43° N, alive in March",
                        "of years",
                        0,
                        0.1,
                        () -> radish.alive(0, "2026-03-15")),
                never(
                        "oats sown 20 August at 43° N, alive in April",
                        "of years",
                        0,
                        0.05,
                        () -> oats.alive(0, "2026-04-15")),
                never(
                        "hairy vetch at 47.6° N, cold continental, alive on 1 May",
                        "of years",
                        0.3,
                        0.95,
                        () -> coldVetch.alive(0, "2026-05-01")),
                never(
                        "cereal rye at 47.6° N, cold continental, alive on 1 May",
                        "of years",
                        0.95,
                        1,
                        () -> coldRye.alive(0, "2026-05-01")),
                never(
                        "crimson clover at 40° N, alive on 1 April",
                        "of years",
                        0.15,
                        0.85,
                        () -> crimson40.alive(0, "2026-04-01")),
                never(
                        "crimson clover at 36° N, alive on 1 April",
                        "of years",
                        0.85,
                        1,
                        () -> crimson36.alive(0, "2026-04-01")),
                never("winter pea at 36° N, alive on 1 April", "of years", 0.8, 1, () -> pea36.alive(0, "2026-04-01")),
                never(
                        "radish sown 25 September at 33° N, alive on 1 March",
                        "of years",
                        0.2,
                        1,
                        () -> radishSouth.alive(0, "2026-03-01")),
                never(
                        "winter barley at 52° N, maritime, alive on 1 April",
                        "of years",
                        0.95,
                        1,
                        () -> barleyMaritime.alive(0, "2026-04-01")),
                never(
                        "faba bean sown 10 October at 52° N, maritime, alive on 1 April",
                        "of years",
                        0.6,
                        1,
                        () -> fabaMaritime.alive(0, "2026-04-01")),
                never(
                        "black oats at 33° N, alive on 1 March",
                        "of years",
                        0.6,
                        1,
                        () -> oatsSouth.alive(0, "2026-03-01")));
    }
}
