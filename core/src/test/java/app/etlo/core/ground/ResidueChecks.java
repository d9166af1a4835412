package app.etlo.core.ground;

import static app.etlo.core.ground.Check.never;
import static app.etlo.core.ground.Check.tuned;

import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.weather.Climate;
import java.util.List;

/** Residue that covers the ground by form and month, and how much of its mass is left. */
final class ResidueChecks {
    private ResidueChecks() {}

    private static final String SERIES = "published series of residue bags by C:N and placement, from memory";
    /** One field in mid summer: warm, neither dry nor drenched. */
    private static final double SUMMER_C = 20;

    private static double cover(Trials.Grown g, String date) {
        return 100 * g.middle(OfGround.RESIDUE_COVER, date);
    }

    /** Share of 5 t/ha of a C:N that is left after weeks at 20 °C and fairly moist, microbes not counted. */
    private static double left(double carbonToNitrogen, boolean mixedIn, int weeks) {
        GroundState s = new GroundState(Trials.siltLoam(), new GroundPlant[0]);
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            s.waterMm[l] = s.soil.wiltingMm[l] + 0.6 * s.soil.availableMm(l);
        }
        s.nitrate[0] = 2;
        s.nitrate[1] = 4;
        double mass = 500;
        ResiduePool pool = mixedIn ? s.mixed : s.surface;
        pool.add(mass, mass * ResiduePool.CARBON_SHARE / carbonToNitrogen, 0.005);
        s.soilC = SUMMER_C;
        s.meanC = SUMMER_C;
        for (int d = 0; d < 7 * weeks; d++) {
            s.nitrate[0] = Math.max(s.nitrate[0], 1);
            ResidueDecay.pass(s);
        }
        return pool.massGM2() / mass;
    }

    private static Check left(
            boolean tuned, String what, double carbonToNitrogen, boolean mixedIn, int weeks, double low, double high) {
        return new Check(
                what + ", C:N " + Math.round(carbonToNitrogen) + (mixedIn ? ", mixed in" : ", on top")
                        + ", share left after " + weeks + " weeks at 20 °C",
                "",
                low,
                high,
                tuned,
                SERIES,
                () -> left(carbonToNitrogen, mixedIn, weeks));
    }

    /** A crop grown and harvested as the library says, untilled, then nothing. */
    private static Trials.Grown after(String crop, double plants, String sown, String harvested, double fedKgHa) {
        Trials t = Trials.north("2024-04-01", "2025-12-15").sowCrop(crop, plants, sown);
        if (fedKgHa > 0) {
            t.feed(sown, fedKgHa);
        }
        return t.harvestAsUsual(crop, harvested).run();
    }

    private static Trials.Grown rolled(Climate climate, String sown, String killed) {
        return Trials.at(climate, "2024-09-01", "2025-12-15")
                .sow("cereal-rye", 220, sown)
                .event(new GroundEvent.Terminate(
                        (int) java.time.temporal.ChronoUnit.DAYS.between(
                                java.time.LocalDate.parse("2024-09-01"), java.time.LocalDate.parse(killed)),
                        "roll",
                        List.of(GroundEvent.Kill.whole(1)),
                        0.1))
                .run();
    }

    static List<Check> all() {
        Trials.Grown corn = after("grain-corn", 7.5, "2024-05-05", "2024-10-10", 180);
        Trials.Grown soybean = after("soybean", 32, "2024-05-15", "2024-10-01", 0);
        Trials.Grown silage = after("silage-corn", 8, "2024-05-05", "2024-09-10", 180);
        Trials.Grown beet = after("sugar-beet", 9, "2024-04-15", "2024-10-10", 100);
        Trials.Grown potato = after("potato", 4, "2024-05-01", "2024-09-20", 120);
        Trials.Grown rolled = rolled(Trials.AT_36, "2024-10-10", "2025-04-28");
        Trials.Grown rolled40 = rolled(Trials.AT_40, "2024-09-25", "2025-05-15");
        Trials.Grown wheat = Trials.north("2023-09-01", "2025-12-15")
                .sowCrop("winter-wheat", 300, "2023-09-28")
                .feed("2024-04-10", 90)
                .harvestAsUsual("winter-wheat", "2024-07-18")
                .run();
        return List.of(
                tuned(
                        "cover by residue of grain corn at 43° N, untilled, a week after harvest",
                        "%",
                        80,
                        98,
                        () -> cover(corn, "2024-10-18")),
                tuned(
                        "cover by residue of grain corn at 43° N, 15 March",
                        "%",
                        75,
                        96,
                        () -> cover(corn, "2025-03-15")),
                tuned("cover by residue of grain corn at 43° N, 10 May", "%", 65, 92, () -> cover(corn, "2025-05-10")),
                tuned(
                        "cover by residue of grain corn at 43° N, next October",
                        "%",
                        25,
                        70,
                        () -> cover(corn, "2025-10-15")),
                tuned(
                        "cover by residue of soybean at 43° N, untilled, next 10 May",
                        "%",
                        40,
                        72,
                        () -> cover(soybean, "2025-05-10")),
                tuned(
                        "cover by residue of silage corn at 43° N, next 10 May",
                        "%",
                        5,
                        20,
                        () -> cover(silage, "2025-05-10")),
                tuned(
                        "cover by residue of sugar beet at 43° N, next 10 May",
                        "%",
                        0,
                        15,
                        () -> cover(beet, "2025-05-10")),
                tuned(
                        "cover by residue of potato at 43° N, next 10 May",
                        "%",
                        0,
                        15,
                        () -> cover(potato, "2025-05-10")),
                tuned(
                        "rye rolled at anthesis at 36° N, share of its mass left after 16 weeks",
                        "",
                        0.3,
                        0.65,
                        () -> rolled.middle(OfGround.RESIDUE_KG_HA, "2025-08-18")
                                / rolled.middle(OfGround.RESIDUE_KG_HA, "2025-05-06")),
                never(
                        "rye rolled at anthesis at 40° N, share of its mass left after 16 weeks",
                        "",
                        0.3,
                        0.65,
                        () -> rolled40.middle(OfGround.RESIDUE_KG_HA, "2025-09-04")
                                / rolled40.middle(OfGround.RESIDUE_KG_HA, "2025-05-23")),
                never(
                        "cover by residue of winter wheat at 43° N, untilled, next 10 May",
                        "%",
                        45,
                        88,
                        () -> cover(wheat, "2025-05-10")),
                left(true, "vetch", 11, false, 4, 0.4, 0.75),
                left(true, "vetch", 11, false, 8, 0.25, 0.6),
                left(false, "vetch", 11, false, 16, 0.1, 0.4),
                left(true, "rye, leafy", 20, false, 8, 0.4, 0.72),
                left(false, "rye, leafy", 20, false, 16, 0.2, 0.55),
                left(true, "rye at anthesis", 40, false, 4, 0.75, 0.95),
                left(true, "rye at anthesis", 40, false, 8, 0.6, 0.87),
                left(true, "rye at anthesis", 40, false, 16, 0.35, 0.7),
                left(false, "rye at anthesis", 40, false, 32, 0.15, 0.5),
                left(true, "corn stalks", 60, false, 16, 0.5, 0.85),
                left(false, "corn stalks", 60, false, 32, 0.3, 0.7),
                left(true, "vetch", 11, true, 4, 0.2, 0.6),
                left(false, "vetch", 11, true, 16, 0.05, 0.35),
                left(true, "straw", 80, true, 8, 0.5, 0.85),
                left(false, "straw", 80, true, 16, 0.35, 0.75));
    }
}
