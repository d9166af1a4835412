package app.etlo.core.ground;

import static app.etlo.core.ground.Check.tuned;

import app.etlo.core.ground.GroundCourse.OfGround;
import java.util.List;

/** Water that a fallow stores. */
final class WaterChecks {
    private WaterChecks() {}

    /** Percent of the rain from harvest to spring that is in the soil then, under untilled wheat stubble. */
    private static double stored() {
        Trials t = Trials.at(Trials.STEPPE, "2024-09-01", "2026-06-30")
                .sowCrop("winter-wheat", 280, "2024-09-20")
                .feed("2025-04-01", 60)
                .harvestAsUsual("winter-wheat", "2025-07-10");
        // events that do nothing, so that both days are recorded
        Trials.Grown g = t.event(new GroundEvent.Pass(t.day("2025-07-12"), "first", 1, 0))
                .event(new GroundEvent.Pass(t.day("2026-05-25"), "last", 1, 0))
                .run();
        double gained = g.middle(OfGround.AVAILABLE_WATER_MM, "2026-05-25")
                - g.middle(OfGround.AVAILABLE_WATER_MM, "2025-07-12");
        return 100 * gained / rainMm();
    }

    /** Of the station's months from mid July to late May. */
    private static double rainMm() {
        var months = Trials.KNOWLEDGE.stations().get("ochremead").months();
        double mm = 0.6 * months.get(6).rainMm() + 0.8 * months.get(4).rainMm();
        for (int m : new int[] {7, 8, 9, 10, 11, 0, 1, 2, 3}) {
            mm += months.get(m).rainMm();
        }
        return mm;
    }

    static List<Check> all() {
        return List.of(tuned(
                        "rain stored from July to May under untilled stubble at 39° N, semi-arid",
                        "%",
                        20,
                        45,
                        WaterChecks::stored)
                .from("Nielsen and Vigil 2010, Agronomy Journal 102:537, from memory"));
    }
}
