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
        if (e instanceof GroundEvent.Stand stand) {
            return stand.plants().stream().mapToInt(p -> p).max().orElse(0);
        }
        return e instanceof GroundEvent.Observe observe ? observe.plant() : 0;
    }

    /**
     * The first day from which this and another script may differ: on an earlier one the same is done to the same plants on the
     * same soil. What is to be done to plants that are not sown by then does not count.
     */
    public int sameUntil(GroundScript o) {
        if (!soil.isSame(o.soil)) {
            return 0;
        }
        int i = 0;
        int sown = 0;
        while (i < events.length && i < o.events.length && same(events[i], o.events[i], sown, o)) {
            sown = Math.max(sown, events[i] instanceof GroundEvent.Sow s ? s.plant() + 1 : 0);
            i++;
        }
        int mine = i < events.length ? events[i].day() : Integer.MAX_VALUE;
        int theirs = i < o.events.length ? o.events[i].day() : Integer.MAX_VALUE;
        return Math.min(mine, theirs);
    }

    private boolean same(GroundEvent mine, GroundEvent theirs, int sown, GroundScript o) {
        if (mine instanceof GroundEvent.Sow s) {
            return s.equals(theirs) && plants[s.plant()].isSame(o.plants[s.plant()]);
        }
        if (mine instanceof GroundEvent.Terminate a && theirs instanceof GroundEvent.Terminate b) {
            return a.day() == b.day()
                    && a.key().equals(b.key())
                    && a.standingShare() == b.standingShare()
                    && a.kills(sown).equals(b.kills(sown));
        }
        return mine.equals(theirs);
    }

    public List<GroundPlant> plants() {
        return List.of(plants);
    }

    public List<GroundEvent> events() {
        return List.of(events);
    }
}
