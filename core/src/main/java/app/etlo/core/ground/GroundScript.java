package app.etlo.core.ground;

import java.util.ArrayList;
import java.util.List;

/**
 * What is to be simulated: a soil, the plants that will stand on it in the order of their sowing, and what is done to them. Events
 * before the first or after the last day are left out.
 */
public final class GroundScript {
    final GroundSoil soil;
    final GroundPlant[] plants;
    final GroundEvent[] events;

    /**
     * @throws IllegalArgumentException when an event names a plant that is not there
     */
    public GroundScript(GroundSoil soil, List<GroundPlant> plants, List<? extends GroundEvent> events) {
        this.soil = soil;
        this.plants = plants.toArray(GroundPlant[]::new);
        List<GroundEvent> sorted = new ArrayList<>(events);
        sorted.sort(GroundEvent.ORDER);
        sorted.forEach(e -> {
            if (plantOf(e) >= this.plants.length) {
                throw new IllegalArgumentException("event " + e.key() + " names a plant that is not there");
            }
        });
        this.events = sorted.toArray(GroundEvent[]::new);
    }

    private static int plantOf(GroundEvent e) {
        if (e instanceof GroundEvent.Sow sow) {
            return sow.plant();
        }
        if (e instanceof GroundEvent.Harvest harvest) {
            return harvest.plant();
        }
        return e instanceof GroundEvent.Observe observe ? observe.plant() : 0;
    }

    public List<GroundPlant> plants() {
        return List.of(plants);
    }

    public List<GroundEvent> events() {
        return List.of(events);
    }
}
